import type { TrialAnswer } from '../../schema-types';
import { normalAt, normalChance } from './distributions';

/** How evenly values scatter about their mean: W is 1 where they lie like draws of a normal distribution, p the chance of so low a W. */
export type Normality = NonNullable<TrialAnswer['normality']>;

const LEAST = 3;
const MOST = 5000;
/** Below this part of their size values are all the same. */
const SAME = 1e-9;

/** Royston's polynomials: of the two outer weights, and of mean and spread of the transformed W, few values and many. */
const OUTER = [0, 0.221157, -0.147981, -2.07119, 4.434685, -2.706056];
const NEXT = [0, 0.042981, -0.293762, -1.752461, 5.682633, -3.582633];
const FEW = 11;
const FEW_LIMIT = [-2.273, 0.459];
const FEW_MEAN = [0.544, -0.39978, 0.025054, -6.714e-4];
const FEW_SPREAD = [1.3822, -0.77857, 0.062767, -0.0020322];
const MANY_MEAN = [-1.5861, -0.31082, -0.083751, 0.0038915];
const MANY_SPREAD = [-0.4803, -0.082676, 0.0030302];

/**
 * The test of Shapiro and Wilk (1965, Biometrika 52), by the approximation of Royston (1995, Applied Statistics 44, algorithm AS R94).
 * @returns undefined for fewer than 3 values or more than 5000, or where all are the same
 */
export function shapiroWilk(values: readonly number[]): Normality | undefined {
	const n = values.length;
	if (n < LEAST || n > MOST) return undefined;
	const x = [...values].sort((a, b) => a - b);
	const mean = x.reduce((sum, one) => sum + one, 0) / n;
	const squares = x.reduce((sum, one) => sum + (one - mean) ** 2, 0);
	if (squares <= (SAME * Math.max(Math.abs(x[0]!), Math.abs(x[n - 1]!))) ** 2) return undefined;
	const slope = weights(n).reduce((sum, weight, at) => sum + weight * (x[n - 1 - at]! - x[at]!), 0);
	const w = Math.min(1, slope ** 2 / squares);
	return { w, p: chanceOf(w, n) };
}

/** What each pair of outer values weighs, the outermost first. */
function weights(n: number): number[] {
	if (n === LEAST) return [Math.SQRT1_2];
	const scores = Array.from({ length: Math.floor(n / 2) }, (_, at) => normalAt((at + 1 - 0.375) / (n + 0.25)));
	const squares = 2 * scores.reduce((sum, score) => sum + score ** 2, 0);
	const root = 1 / Math.sqrt(n);
	const first = polynomial(OUTER, root) - scores[0]! / Math.sqrt(squares);
	const outer = n > 5 ? [first, polynomial(NEXT, root) - scores[1]! / Math.sqrt(squares)] : [first];
	const left = outer.reduce((sum, _, at) => sum - 2 * scores[at]! ** 2, squares);
	const share = outer.reduce((sum, weight) => sum - 2 * weight ** 2, 1);
	const scale = Math.sqrt(left / share);
	return scores.map((score, at) => outer[at] ?? -score / scale);
}

function chanceOf(w: number, n: number): number {
	if (n === LEAST) return Math.max(0, (6 / Math.PI) * (Math.asin(Math.sqrt(w)) - Math.asin(Math.sqrt(0.75))));
	const off = Math.log(1 - w);
	if (n <= FEW) {
		const limit = polynomial(FEW_LIMIT, n);
		if (off >= limit) return 0;
		return aboveBy(-Math.log(limit - off), polynomial(FEW_MEAN, n), polynomial(FEW_SPREAD, n));
	}
	const size = Math.log(n);
	return aboveBy(off, polynomial(MANY_MEAN, size), polynomial(MANY_SPREAD, size));
}

function aboveBy(value: number, mean: number, logSpread: number): number {
	return normalChance((value - mean) / Math.exp(logSpread));
}

function polynomial(coefficients: readonly number[], x: number): number {
	return coefficients.reduceRight((sum, coefficient) => sum * x + coefficient, 0);
}
