import type { RateMeans } from '../rate-means';

/**
 * Least squares of the mean yields on one regressor, weighted by plots; written into the data's `line` without
 * allocating.
 * @param z the regressor at each rate
 * @param to one past the last rate that counts
 * @returns false where all values of the regressor are the same, so that there is no slope
 */
export function fitLine({ plots, means, line, count }: RateMeans, z: Float64Array, to = count): boolean {
	let weight = 0;
	let zSum = 0;
	let ySum = 0;
	for (let at = 0; at < to; at++) {
		weight += plots[at]!;
		zSum += plots[at]! * z[at]!;
		ySum += plots[at]! * means[at]!;
	}
	const zMean = zSum / weight;
	const yMean = ySum / weight;
	let zz = 0;
	let zy = 0;
	for (let at = 0; at < to; at++) {
		const off = z[at]! - zMean;
		zz += plots[at]! * off * off;
		zy += plots[at]! * off * (means[at]! - yMean);
	}
	if (!(zz > 0)) return false;
	line.slope = zy / zz;
	line.intercept = yMean - line.slope * zMean;
	line.rss = 0;
	for (let at = 0; at < to; at++) {
		const left = means[at]! - yMean - line.slope * (z[at]! - zMean);
		line.rss += plots[at]! * left * left;
	}
	return true;
}

/** The same through all rates as they are: the response without a plateau. */
export function fitStraightLine(data: RateMeans): boolean {
	return fitLine(data, data.rates);
}
