import { addDays, format, parseISO } from 'date-fns';
import { currentLibrary } from '$lib/server/current-library';
import { planningYear } from '$lib/server/field/planning-year';
import { listDue, listRoster } from '$lib/server/stores/roster';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

const FORTNIGHT_DAYS = 14;

export const load: PageServerLoad = () => {
	const day = today();
	const year = planningYear(day);
	const { crops } = currentLibrary();
	const rows = listRoster(theBook(), year).map((row) => {
		const crop = crops.find(({ id }) => id === row.crop);
		return { ...row, cropName: crop?.name, yieldUnit: crop?.yieldUnit.replace('/ac', '') };
	});
	const due = listDue(theBook(), format(addDays(parseISO(day), FORTNIGHT_DAYS), 'yyyy-MM-dd'));
	return { year, rows, due: groupByDoing(due) };
};

type Due = ReturnType<typeof listDue>[number];

/** Passes of the same kind together: one trip, one call to the dealer. */
function groupByDoing(due: Due[]): { label: string; from: string; passes: Due[] }[] {
	const groups = new Map<string, Due[]>();
	for (const pass of due) groups.set(pass.label, [...(groups.get(pass.label) ?? []), pass]);
	return [...groups].map(([label, passes]) => ({ label, from: passes[0]!.date, passes }));
}
