import { crossing } from '../crossing';
import { fitParabola } from './quadratic';
import type { Line, RateMeans } from '../rate-means';
import type { ResponseModel } from './response-model';
import { fitLine } from './straight-line';

/** Looks so often between two rates for where the fit is best; the profile has one dip between two rates. */
const LOOKS_BETWEEN_RATES = 4;
/** Share of the tested range to which the join is worked out. */
const JOIN_TOLERANCE = 1e-13;

/**
 * y = a + b N + c N2 up to its highest point, the join at -b/2c, and level from there on (c below 0).
 * Cerrato and Blackmer 1990 (memory) is the usual comparison of the four shapes for corn.
 */
export const quadraticPlateau: ResponseModel = {
	name: 'quadratic-plateau',
	names: ['a', 'b', 'c'],
	formula: 'a + b N + c N2 up to the join at -b/2c, level beyond it',
	yieldAt(p, rate) {
		const x = Math.min(rate, joinOf(p));
		return p[0]! + (p[1]! + p[2]! * x) * x;
	},
	gradientAt(p, rate, out) {
		const x = Math.min(rate, joinOf(p));
		out[0] = 1;
		out[1] = x;
		out[2] = x * x;
	},
	agronomicOptimum: joinOf,
	economicOptimum: (p, priceRatio) => (priceRatio - p[1]!) / (2 * p[2]!),
	/** Linear in plateau and curvature once the join is given, so only the join is searched. */
	fit(data, out) {
		const { count, rates, line } = data;
		if (count < 4) return NaN;
		let best = NaN;
		const range = rates[count - 1]! - rates[0]!;
		const slope = (join: number) => profileSlope(data, join);
		let low = rates[1]!;
		let atLow = slope(low + range * JOIN_TOLERANCE);
		for (let at = 1; at < count - 1; at++) {
			const step = (rates[at + 1]! - rates[at]!) / LOOKS_BETWEEN_RATES;
			for (let look = 1; look <= LOOKS_BETWEEN_RATES; look++) {
				const high = look === LOOKS_BETWEEN_RATES ? rates[at + 1]! : rates[at]! + look * step;
				const atHigh = slope(high);
				if (atLow < 0 && atHigh >= 0) {
					const join = crossing(slope, low, high, atLow, atHigh, range * JOIN_TOLERANCE);
					const rss = plateauAt(data, join);
					if (line.slope < 0 && !(rss >= best)) {
						best = rss;
						keep(out, join, line);
					}
				}
				low = high;
				atLow = atHigh;
			}
		}
		return beyondTheRates(data, out, best);
	}
};

function joinOf(p: Float64Array): number {
	return -p[1]! / (2 * p[2]!);
}

/** With its join beyond the highest rate the curve is the plain parabola. */
function beyondTheRates(data: RateMeans, out: Float64Array, best: number): number {
	const [a, b, c] = [out[0]!, out[1]!, out[2]!];
	const rss = fitParabola(data, out);
	if (out[2]! < 0 && joinOf(out) >= data.rates[data.count - 1]! && !(rss >= best)) return rss;
	out[0] = a;
	out[1] = b;
	out[2] = c;
	return best;
}

/** Fits plateau (`line.intercept`) and curvature (`line.slope`) for a join; gives the sum of squares. */
function plateauAt(data: RateMeans, join: number): number {
	const { z } = data;
	for (let at = 0; at < data.count; at++) {
		const below = Math.min(data.rates[at]! - join, 0);
		z[at] = below * below;
	}
	return fitLine(data, z) ? data.line.rss : NaN;
}

/** Derivative of the best sum of squares by the join, up to a positive factor; the other two stand at their best. */
function profileSlope(data: RateMeans, join: number): number {
	plateauAt(data, join);
	const { line, z } = data;
	let sum = 0;
	for (let at = 0; at < data.count; at++) {
		const below = Math.min(data.rates[at]! - join, 0);
		if (below === 0) break;
		sum += data.plots[at]! * (data.means[at]! - line.intercept - line.slope * z[at]!) * below;
	}
	return sum * line.slope;
}

function keep(out: Float64Array, join: number, line: Line): void {
	out[0] = line.intercept + line.slope * join * join;
	out[1] = -2 * line.slope * join;
	out[2] = line.slope;
}
