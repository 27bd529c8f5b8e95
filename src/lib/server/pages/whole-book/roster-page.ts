import { addDays, format, parseISO } from 'date-fns';
import { planningYear } from '../../field/planning-year';
import { listDue, listRoster } from '../../stores/roster';
import type { Desk } from '../../desk';

const FORTNIGHT_DAYS = 14;

/** Every field of the book with where it stands in the planning year, and what is due within a fortnight. */
export function rosterPage({ book, library, today }: Desk) {
	const day = today;
	const year = planningYear(day);
	const { crops } = library;
	const rows = listRoster(book, year).map((row) => {
		const crop = crops.find(({ id }) => id === row.crop);
		return { ...row, cropName: crop?.name, yieldUnit: crop?.yieldUnit };
	});
	const due = listDue(book, format(addDays(parseISO(day), FORTNIGHT_DAYS), 'yyyy-MM-dd'));
	return { year, rows, due: groupByDoing(due) };
}

type Due = ReturnType<typeof listDue>[number];

/** Passes of the same kind together: one trip, one call to the dealer. */
function groupByDoing(due: Due[]): { label: string; from: string; passes: Due[] }[] {
	const groups = new Map<string, Due[]>();
	for (const pass of due) groups.set(pass.label, [...(groups.get(pass.label) ?? []), pass]);
	return [...groups].map(([label, passes]) => ({ label, from: passes[0]!.date, passes }));
}
