import { yieldUnitOf } from '../../../../core/units/rate-units';
import { addDays, format, parseISO } from 'date-fns';
import { planningYear } from '../../field/planning-year';
import { listDue, listRoster } from '../../stores/roster';
import type { Desk } from '../../desk';

const FORTNIGHT_DAYS = 14;

/** Every field of the book with where it stands in the planning year, and what is due within a fortnight. */
export function rosterPage(desk: Desk) {
	const { book, today } = desk;
	const year = planningYear(today);
	const due = listDue(book, format(addDays(parseISO(today), FORTNIGHT_DAYS), 'yyyy-MM-dd'));
	return { year, rows: rosterRows(desk, year), due: groupByDoing(due) };
}

/** Every field with where it stands in a year. */
export function rosterRows({ book, library }: Pick<Desk, 'book' | 'library'>, year: number) {
	const crops = new Map(library.crops.map((crop) => [crop.id, crop]));
	return listRoster(book, year).map((row) => {
		const crop = row.crop === null ? undefined : crops.get(row.crop);
		return { ...row, cropName: crop?.name, yieldUnit: crop && yieldUnitOf(crop) };
	});
}

type Due = ReturnType<typeof listDue>[number];

/** Passes of the same kind together: one trip, one call to the dealer. */
function groupByDoing(due: Due[]): { label: string; from: string; passes: Due[] }[] {
	const groups = new Map<string, Due[]>();
	for (const pass of due) groups.set(pass.label, [...(groups.get(pass.label) ?? []), pass]);
	return [...groups].map(([label, passes]) => ({ label, from: passes[0]!.date, passes }));
}
