import type { RateMeans } from '../rate-means';
import type { Coefficients, ResponseModel } from './response-model';

/** y = a + b N + c N2, with a highest point (c below 0). */
export const quadratic: ResponseModel = {
	name: 'quadratic',
	names: ['a', 'b', 'c'],
	formula: 'a + b N + c N2',
	yieldAt: (p, rate) => p[0]! + (p[1]! + p[2]! * rate) * rate,
	gradientAt(_p, rate, out) {
		out[0] = 1;
		out[1] = rate;
		out[2] = rate * rate;
	},
	agronomicOptimum: (p) => -p[1]! / (2 * p[2]!),
	economicOptimum: (p, priceRatio) => (priceRatio - p[1]!) / (2 * p[2]!),
	fit(data, out) {
		const rss = fitParabola(data, out);
		return out[2]! < 0 ? rss : NaN;
	}
};

/**
 * Least squares of a parabola by polynomials that are orthogonal on the rates.
 * @returns the sum of squares left between the rates; NaN with fewer than three rates
 */
export function fitParabola({ count, rates, plots, means }: RateMeans, out: Coefficients): number {
	if (count < 3) return NaN;
	let weight = 0;
	let xSum = 0;
	let ySum = 0;
	for (let at = 0; at < count; at++) {
		weight += plots[at]!;
		xSum += plots[at]! * rates[at]!;
		ySum += plots[at]! * means[at]!;
	}
	const xMean = xSum / weight;
	const yMean = ySum / weight;
	let u2 = 0;
	let u3 = 0;
	let uy = 0;
	for (let at = 0; at < count; at++) {
		const u = rates[at]! - xMean;
		u2 += plots[at]! * u * u;
		u3 += plots[at]! * u * u * u;
		uy += plots[at]! * u * (means[at]! - yMean);
	}
	const skew = u3 / u2;
	const spread = u2 / weight;
	const linear = uy / u2;
	let v2 = 0;
	let vy = 0;
	for (let at = 0; at < count; at++) {
		const u = rates[at]! - xMean;
		const v = u * u - skew * u - spread;
		v2 += plots[at]! * v * v;
		vy += plots[at]! * v * (means[at]! - yMean - linear * u);
	}
	const c = vy / v2;
	let rss = 0;
	for (let at = 0; at < count; at++) {
		const u = rates[at]! - xMean;
		const left = means[at]! - yMean - linear * u - c * (u * u - skew * u - spread);
		rss += plots[at]! * left * left;
	}
	const slopeAtMean = linear - c * skew;
	out[0] = yMean - c * spread - slopeAtMean * xMean + c * xMean * xMean;
	out[1] = slopeAtMean - 2 * c * xMean;
	out[2] = c;
	return rss;
}
