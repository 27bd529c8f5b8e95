import { Matrix, inverse } from 'ml-matrix';
import type { Observation } from '../../../schema-types';
import { blocksOf } from './blocks-of';
import type { Coefficients, ResponseModel } from './shapes/response-model';

const CURVE = 3;

/**
 * Standard errors of the coefficients: square roots of the diagonal of rss/(n - 3 - (blocks - 1)) (J'J)^-1, with J the derivatives
 * of the curve by its coefficients at the best fit, beside blocks as effects that sum to 0. As R's `summary(nls)` and `summary(lm)`.
 * @returns undefined where the observations do not tell the coefficients apart, or are too few
 */
export function standardErrors(
	model: ResponseModel,
	p: Coefficients,
	observations: readonly Observation[],
	rss: number
): Coefficients | undefined {
	const blocks = blocksOf(observations);
	const size = CURVE + Math.max(0, blocks.length - 1);
	const freedom = observations.length - size;
	if (freedom <= 0) return undefined;
	const gradient = new Float64Array(CURVE);
	const last = blocks.length - 1;
	const design = new Matrix(
		observations.map(({ rate, block }) => {
			model.gradientAt(p, rate, gradient);
			const at = blocks.indexOf(block!);
			const contrasts = Array.from({ length: size - CURVE }, (_, one) => (at === one ? 1 : at === last ? -1 : 0));
			return [...gradient, ...contrasts];
		})
	);
	const information = design.transpose().mmul(design);
	// Coefficients differ by orders of magnitude; with ones on the diagonal the inverse is exact to the last digits.
	const scale = information.diagonal().map(Math.sqrt);
	const scaled = Matrix.zeros(size, size);
	for (let row = 0; row < size; row++) {
		for (let column = 0; column < size; column++) {
			scaled.set(row, column, information.get(row, column) / (scale[row]! * scale[column]!));
		}
	}
	const spread = inverseOrNone(scaled);
	if (!spread) return undefined;
	const variance = rss / freedom;
	return Float64Array.from(scale.slice(0, CURVE), (unit, at) => Math.sqrt(variance * spread.get(at, at)) / unit);
}

function inverseOrNone(matrix: Matrix): Matrix | undefined {
	try {
		const found = inverse(matrix);
		return found.diagonal().every((value) => value > 0) ? found : undefined;
	} catch {
		return undefined;
	}
}
