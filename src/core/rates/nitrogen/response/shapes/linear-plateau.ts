import type { RateMeans } from '../rate-means';
import type { Coefficients, ResponseModel } from './response-model';
import { fitLine } from './straight-line';

/** y = a + b N up to the join and level from there on (b above 0). */
export const linearPlateau: ResponseModel = {
	name: 'linear-plateau',
	names: ['a', 'b', 'join'],
	formula: 'a + b N up to the join, level beyond it',
	yieldAt: (p, rate) => p[0]! + p[1]! * Math.min(rate, p[2]!),
	gradientAt(p, rate, out) {
		out[0] = 1;
		out[1] = Math.min(rate, p[2]!);
		out[2] = rate > p[2]! ? p[1]! : 0;
	},
	agronomicOptimum: (p) => p[2]!,
	economicOptimum(p, priceRatio) {
		if (Number.isNaN(priceRatio)) return NaN;
		return p[1]! > priceRatio ? p[2]! : -Infinity;
	},
	/** Exact: for each way to part the rates the line and the plateau are known in closed form. */
	fit(data, out) {
		const { count, rates } = data;
		let best = NaN;
		const tried = new Float64Array(3);
		for (let onSlope = 2; onSlope < count; onSlope++) {
			const rss = fitParted(data, onSlope, tried);
			if (tried[1]! > 0 && !(rss >= best)) {
				best = rss;
				out.set(tried);
			}
		}
		// A join at the second rate leaves open where between the first two it is.
		return out[2]! > rates[1]! && out[2]! < rates[count - 1]! ? best : NaN;
	}
};

/**
 * The best join from the last rate on the slope to the first on the plateau: where the line through the former
 * meets the mean of the latter, or else the better of the two rates.
 */
function fitParted(data: RateMeans, onSlope: number, out: Coefficients): number {
	const { count, rates, plots, means, line } = data;
	if (!fitLine(data, rates, onSlope)) return NaN;
	let weight = 0;
	let sum = 0;
	for (let at = onSlope; at < count; at++) {
		weight += plots[at]!;
		sum += plots[at]! * means[at]!;
	}
	const plateau = sum / weight;
	const join = (plateau - line.intercept) / line.slope;
	if (join >= rates[onSlope - 1]! && join <= rates[onSlope]!) {
		let rss = line.rss;
		for (let at = onSlope; at < count; at++) rss += plots[at]! * (means[at]! - plateau) ** 2;
		keep(data, join, out);
		return rss;
	}
	const atLast = joinedAt(data, rates[onSlope - 1]!);
	if (atLast <= joinedAt(data, rates[onSlope]!)) joinedAt(data, rates[onSlope - 1]!);
	keep(data, atLast <= line.rss ? rates[onSlope - 1]! : rates[onSlope]!, out);
	return line.rss;
}

function joinedAt(data: RateMeans, join: number): number {
	for (let at = 0; at < data.count; at++) data.z[at] = Math.min(data.rates[at]!, join);
	return fitLine(data, data.z) ? data.line.rss : NaN;
}

function keep({ line }: RateMeans, join: number, out: Coefficients): void {
	out[0] = line.intercept;
	out[1] = line.slope;
	out[2] = join;
}
