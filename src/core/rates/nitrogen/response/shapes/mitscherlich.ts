import { crossing } from '../crossing';
import type { RateMeans } from '../rate-means';
import type { ResponseModel } from './response-model';
import { fitLine } from './straight-line';

/** Share of the highest yield that counts as full: the curve itself never gets there. */
const FULL_YIELD = 0.99;
/** c x tested range from a nearly straight line to a step at the first rate, on a logarithmic scale. */
const LEAST_BEND = 0.02;
const MOST_BEND = 60;
const LOOKS = 24;
const TOLERANCE = 1e-14;

/** y = a - b exp(-c N): each pound brings a fixed share less than the one before (b, c above 0). */
export const mitscherlich: ResponseModel = {
	name: 'mitscherlich',
	names: ['a', 'b', 'c'],
	formula: 'a - b exp(-c N)',
	yieldAt: (p, rate) => p[0]! - p[1]! * Math.exp(-p[2]! * rate),
	gradientAt(p, rate, out) {
		const left = Math.exp(-p[2]! * rate);
		out[0] = 1;
		out[1] = -left;
		out[2] = p[1]! * rate * left;
	},
	/** Where the yield is 99 % of the asymptote. */
	agronomicOptimum: (p) => Math.log(p[1]! / ((1 - FULL_YIELD) * p[0]!)) / p[2]!,
	economicOptimum: (p, priceRatio) => (priceRatio === 0 ? Infinity : Math.log((p[1]! * p[2]!) / priceRatio) / p[2]!),
	/** Linear in a and b once c is given, so only c is searched. */
	fit(data, out) {
		const { count, rates, line } = data;
		if (count < 4) return NaN;
		const range = rates[count - 1]! - rates[0]!;
		const slope = (c: number) => profileSlope(data, c);
		let best = NaN;
		let low = LEAST_BEND / range;
		let atLow = slope(low);
		const step = (MOST_BEND / LEAST_BEND) ** (1 / LOOKS);
		for (let look = 0; look < LOOKS; look++) {
			const high = low * step;
			const atHigh = slope(high);
			if (atLow < 0 && atHigh >= 0) {
				const c = crossing(slope, low, high, atLow, atHigh, TOLERANCE * high);
				const rss = asymptoteAt(data, c);
				if (line.slope < 0 && !(rss >= best)) {
					best = rss;
					out[0] = line.intercept;
					out[1] = -line.slope;
					out[2] = c;
				}
			}
			low = high;
			atLow = atHigh;
		}
		// A curve that is all but full by the second rate says nothing of what is between the first two.
		return Math.exp(-out[2]! * (rates[1]! - rates[0]!)) > 1e-3 ? best : NaN;
	}
};

/** Fits the asymptote (`line.intercept`) and -b (`line.slope`) for a c; gives the sum of squares. */
function asymptoteAt(data: RateMeans, c: number): number {
	const { z } = data;
	for (let at = 0; at < data.count; at++) z[at] = Math.exp(-c * data.rates[at]!);
	return fitLine(data, z) ? data.line.rss : NaN;
}

/** Derivative of the best sum of squares by c, up to a positive factor. */
function profileSlope(data: RateMeans, c: number): number {
	asymptoteAt(data, c);
	const { line, z } = data;
	let sum = 0;
	for (let at = 0; at < data.count; at++) {
		const left = data.means[at]! - line.intercept - line.slope * z[at]!;
		sum += data.plots[at]! * left * line.slope * data.rates[at]! * z[at]!;
	}
	return sum;
}
