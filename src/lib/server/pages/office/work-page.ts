import { yieldUnitOf } from '../../../../core/units/rate-units';
import { cropsGrown } from '../../stores/roster';
import type { Desk } from '../../desk';
import { planningYear } from '../../field/planning-year';
import { findWork } from '../../field/work/runs';
import { yearOf } from '../../field/year-of';
import { listFollowed, listHouseProgrammes } from '../../stores/plan/house-programmes';
import { listOpenProducts } from '../../stores/order-passes';
import { newestSheets } from '../../stores/sheets';
import { rosterRows } from '../whole-book/roster-page';

/** Every field with where it stands in a year, and what can be done to many of them at once. */
export function workPage(desk: Desk, query: URLSearchParams) {
	const { book, library, today, settings } = desk;
	const asked = query.get('year');
	const year = asked ? yearOf(asked) : planningYear(today);
	const programmes = listHouseProgrammes(book);
	const sheets = newestSheets(book, year);
	const followed = listFollowed(book, year);
	const nameOf = (id: string) => programmes.find((one) => one.id === id)?.name ?? 'a removed programme';
	const grown = cropsGrown(book);
	const inUse = listOpenProducts(book, year);
	const run = query.get('run');
	return {
		title: 'Many fields',
		year,
		preparedBy: settings.preparedBy,
		units: settings.units,
		run,
		work: run === null ? undefined : findWork(run),
		rows: rosterRows(desk, year).map((row) => {
			const follows = followed.get(row.id);
			return { ...row, sheet: sheets.get(row.id), programme: follows && nameOf(follows.programme) };
		}),
		programmes: programmes.map(({ id, name }) => ({ id, name })),
		crops: library.crops
			.map((crop) => ({ id: crop.id, name: crop.name, yieldUnit: yieldUnitOf(crop), grown: grown.has(crop.id) }))
			.sort((a, b) => Number(b.grown) - Number(a.grown)),
		products: library.products.map(({ id, name }) => ({ id, name, planned: inUse.has(id) }))
	};
}
