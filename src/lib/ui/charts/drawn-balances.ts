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

/** The balances over the years as SVG, each of those that has more than a year; sizes in pixels. */
export function drawnBalances(
	years: readonly YearOfBalances[],
	nutrients: readonly Balanced[],
	units: UnitSystem,
	size: { width: number; height: number }
): DrawnBalances[] {
	return namesDrawn(years).map((name) => {
		const lines = balanceLines(years, name, nutrients, units);
		return {
			name,
			svg: drawn(balancesChart(lines, unitInSystem('lb/ac', units)), size).replace(FONTS, PAPER_FONT),
			keys: lines.map(({ nutrient }, at) => ({ nutrient, ...lineLook(at) }))
		};
	});
}
