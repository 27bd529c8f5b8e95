import { Matrix, inverse } from 'ml-matrix';
import type { RateMeans } from './rate-means';
import type { Coefficients, ResponseModel } from './shapes/response-model';

/**
 * Standard errors of the coefficients: square roots of the diagonal of rss/(n - 3 - (blocks - 1)) (J'J)^-1, with J the derivatives
 * of the curve by its coefficients at the best fit. As R's `summary(nls)` and `summary(lm)` give them.
 * @returns undefined where the observations do not tell the coefficients apart, or are no more than three
 */
export function standardErrors(
	model: ResponseModel,
	p: Coefficients,
	{ count, rates, plots }: RateMeans,
	rss: number,
	blockFreedom: number
): Coefficients | undefined {
	const gradient = new Float64Array(3);
	const information = Matrix.zeros(3, 3);
	let observations = 0;
	for (let at = 0; at < count; at++) {
		model.gradientAt(p, rates[at]!, gradient);
		observations += plots[at]!;
		for (let row = 0; row < 3; row++) {
			for (let column = 0; column < 3; column++) {
				const sum = information.get(row, column) + plots[at]! * gradient[row]! * gradient[column]!;
				information.set(row, column, sum);
			}
		}
	}
	const freedom = observations - 3 - blockFreedom;
	if (freedom <= 0) return undefined;
	// Coefficients differ by orders of magnitude; with ones on the diagonal the inverse is exact to the last digits.
	const scale = information.diagonal().map(Math.sqrt);
	const scaled = Matrix.zeros(3, 3);
	for (let row = 0; row < 3; row++) {
		for (let column = 0; column < 3; column++) {
			scaled.set(row, column, information.get(row, column) / (scale[row]! * scale[column]!));
		}
	}
	const spread = inverseOrNone(scaled);
	if (!spread) return undefined;
	const variance = rss / freedom;
	return Float64Array.from(scale, (unit, at) => Math.sqrt(variance * spread.get(at, at)) / unit);
}

function inverseOrNone(matrix: Matrix): Matrix | undefined {
	try {
		const found = inverse(matrix);
		return found.diagonal().every((value) => value > 0) ? found : undefined;
	} catch {
		return undefined;
	}
}
