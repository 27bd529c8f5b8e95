import type { Balanced } from '$core/season/plan/balance/nutrient-balance';
import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
import { balanceLines, balancesChart, namesDrawn, type YearOfBalances } from './balances';
import { drawn } from './drawn';
import { lineLook } from './outlook';

/** The balances of one grower, or of the book, for paper. */
export interface DrawnBalances {
	name: string;
	svg: string;
	/** What each line is, and its look. */
	keys: { nutrient: string; color: string; type: string }[];
}

/** On paper there is one font, by a name of its own. */
const FONTS = /font-family:[^;"]*/g;
const PAPER_FONT = 'font-family:Hyperlegible';

/** So many are drawn within two seconds; a book of hundreds of growers would keep others waiting. */
const MOST_DRAWN = 24;

/** The balances over the years as SVG, of those that have more than a year, and how many of them are left out; sizes in pixels. */
export function drawnBalances(
	years: readonly YearOfBalances[],
	nutrients: readonly Balanced[],
	units: UnitSystem,
	size: { width: number; height: number }
): { charts: DrawnBalances[]; left: number } {
	const names = namesDrawn(years);
	const charts = names.slice(0, MOST_DRAWN).map((name) => {
		const lines = balanceLines(years, name, nutrients, units);
		return {
			name,
			svg: drawn(balancesChart(lines, unitInSystem('lb/ac', units)), size).replace(FONTS, PAPER_FONT),
			keys: lines.map(({ nutrient }, at) => ({ nutrient, ...lineLook(at) }))
		};
	});
	return { charts, left: names.length - charts.length };
}
