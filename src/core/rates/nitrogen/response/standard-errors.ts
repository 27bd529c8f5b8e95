import type { Observation } from '../../../schema-types';
import { blocksOf } from './blocks-of';
import type { Coefficients, ResponseModel } from './shapes/response-model';

const CURVE = 3;
/** Below this share of both variances two derivatives are one and the same. */
const ALIKE = 1e-12;

/**
 * Standard errors of the coefficients: square roots of the diagonal of rss/(n - 3 - (blocks - 1)) (J'J)^-1, with J the derivatives
 * of the curve by its coefficients at the best fit, beside blocks as effects that sum to 0. As R's `summary(nls)` and `summary(lm)`.
 * The first coefficient of every shape only lifts the curve, so it is worked out from the means of the blocks, and the others within them.
 * @returns undefined where the observations do not tell the coefficients apart, or are too few
 */
export function standardErrors(
	model: ResponseModel,
	p: Coefficients,
	observations: readonly Observation[],
	rss: number
): Coefficients | undefined {
	const blocks = blocksOf(observations);
	const groups = new Map<string | number, [number, number][]>();
	const gradient = new Float64Array(CURVE);
	for (const { rate, block } of observations) {
		model.gradientAt(p, rate, gradient);
		const key = blocks.length > 0 ? block! : 0;
		const own = groups.get(key) ?? [];
		own.push([gradient[1]!, gradient[2]!]);
		groups.set(key, own);
	}
	const freedom = observations.length - CURVE - (groups.size - 1);
	if (freedom <= 0) return undefined;
	let [bb, bc, cc] = [0, 0, 0];
	let [lift, bMean, cMean] = [0, 0, 0];
	for (const own of groups.values()) {
		const mean = (at: 0 | 1) => own.reduce((sum, one) => sum + one[at], 0) / own.length;
		const [b, c] = [mean(0), mean(1)];
		for (const one of own) {
			bb += (one[0] - b) ** 2;
			bc += (one[0] - b) * (one[1] - c);
			cc += (one[1] - c) ** 2;
		}
		lift += 1 / own.length / groups.size ** 2;
		bMean += b / groups.size;
		cMean += c / groups.size;
	}
	const determinant = bb * cc - bc * bc;
	if (!(determinant > ALIKE * bb * cc)) return undefined;
	const variance = rss / freedom;
	const a = lift + (bMean * bMean * cc - 2 * bMean * cMean * bc + cMean * cMean * bb) / determinant;
	return Float64Array.of(a, cc / determinant, bb / determinant).map((share) => Math.sqrt(variance * share));
}
