import { BALANCED, nutrientBalance, type YearBalance } from '../../../../core/season/plan/balance/nutrient-balance';
import { testMoves } from '../../../../core/season/plan/balance/test-and-balance';
import { soilLayers } from '../../../../core/reading/soil/soil-layers';
import { readTrends } from '../../../../core/reading/soil/trends';
import { inSystem, type UnitSystem } from '../../../../core/units/rate-units';
import type { Desk } from '../../desk';
import { appliedPasses, listFieldYears } from '../../stores/field-years';
import { listFieldSamples, type FieldRow } from '../../stores/fields';
import { listWaterSources } from '../../stores/water/water-sources';
import { yearRecord } from '../year-record';

/** More years than this are not looked at. */
const MOST_YEARS = 40;

/** What went on and what the harvest took, of the years of the book up to one of them, the first first; in US units. */
export function balanceOf({ book, library }: Desk, field: FieldRow, until: number): YearBalance[] {
	const { crops, packs, products } = library;
	const sources = listWaterSources(book);
	const records = listFieldYears(book, field.id)
		.filter(({ year }) => year <= until)
		.slice(0, MOST_YEARS)
		.flatMap(({ id, ...row }) => {
			const passes = appliedPasses(book, id);
			// A year that is only planned has nothing to balance yet.
			if (row.harvested_yield === null && passes.length === 0) return [];
			return yearRecord({ ...row, passes }, crops, sources);
		});
	return nutrientBalance(records, packs, products);
}

/** A year's balance in the units of its reader. */
export function inUnits({ year, crop, nutrients }: YearBalance, units: UnitSystem): YearBalance {
	return {
		year,
		crop,
		nutrients: Object.fromEntries(
			BALANCED.map((nutrient) => {
				const { ofYear, together } = nutrients[nutrient];
				return [nutrient, { ofYear: inSystem(ofYear, units), together: inSystem(together, units) }];
			})
		) as typeof nutrients
	};
}

/** How the soil tests of the field went beside its balance. */
export function movesOf({ book }: Desk, field: FieldRow, balance: readonly YearBalance[], units: UnitSystem) {
	const reports = listFieldSamples(book, field.id).map(({ report }) => report);
	const [newest] = reports;
	if (!newest) return [];
	const inSight = (answer: YearBalance['nutrients']['N']['ofYear']) => inSystem(answer, units);
	return testMoves(readTrends(reports, units), balance, soilLayers(newest, '/sample', units), units).map((move) => ({
		...move,
		balance: inSight(move.balance),
		expected: inSight(move.expected)
	}));
}
