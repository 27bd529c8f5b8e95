import jstat from 'jstat';
import type { Observation } from '../../../schema-types';
import { blocksOf } from './blocks-of';
import type { RateMeans } from './rate-means';

/** Chance at which a response, or its bend, is taken as real: common practice. */
const SIGNIFICANT = 0.05;
/** Squares that are no more than the noise of binary fractions, as a share of the squares of the yields. */
const NOTHING = 1e-20;

/** What can be told from a trial beside its best curve. */
export interface ResponseTests {
	/** p of the F test of the curve against one mean for all plots. */
	response: number;
	/** p of the F test of the curve against a straight line. */
	curvature: number;
	verdict: 'curve' | 'flat' | 'straight' | 'falling' | 'step';
}

/**
 * Whether a curve with an optimum can be told from no response and from a straight line: F tests of nested models
 * with 3 coefficients against 1 and 2, at 0.05, each with the blocks as a term. As R's `anova(lm)`, also where plots are missing.
 * @param data of plots with the blocks taken out, @param blockFreedom blocks less one
 * @param rss of the best curve over all plots; Infinity where none fits
 */
export function testResponse(
	data: RateMeans,
	observations: readonly Observation[],
	blockFreedom: number,
	rss: number
): ResponseTests {
	const lineFreedom = observations.length - 2 - blockFreedom;
	const freedom = observations.length - 3 - blockFreedom;
	const squares = observations.reduce((sum, one) => sum + one.yield ** 2, 0);
	const { flat, left: straight, slope } = lineWithinBlocks(observations, (rate) => rate);
	const response = pOf((flat - rss) / 2, rss / freedom, 2, freedom, squares);
	const curvature = pOf(straight - rss, rss / freedom, 1, freedom, squares);
	if (flat <= NOTHING * squares) return { response: 1, curvature: 1, verdict: 'flat' };
	const rises = pOf(flat - straight, straight / lineFreedom, 1, lineFreedom, squares);
	const curved = response < SIGNIFICANT && curvature < SIGNIFICANT;
	if (curved) return { response, curvature, verdict: 'curve' };
	const step = lineWithinBlocks(observations, (rate) => (rate > data.rates[0]! ? 1 : 0)).left;
	if (step < straight && pOf(flat - step, step / lineFreedom, 1, lineFreedom, squares) < SIGNIFICANT) {
		return { response, curvature, verdict: data.means[0]! < data.means[1]! ? 'step' : 'falling' };
	}
	const verdict = rises < SIGNIFICANT ? (slope > 0 ? 'straight' : 'falling') : 'flat';
	return { response, curvature, verdict };
}

/** Sums of squares that the means of the blocks leave, and those with one slope on a regressor beside them. */
function lineWithinBlocks(observations: readonly Observation[], regressor: (rate: number) => number) {
	let [zz, zy, yy] = [0, 0, 0];
	const names = new Set(blocksOf(observations).length > 0 ? observations.map(({ block }) => block) : [undefined]);
	for (const name of names) {
		const own = name === undefined ? observations : observations.filter(({ block }) => block === name);
		const mean = (of: (one: Observation) => number) => own.reduce((sum, one) => sum + of(one), 0) / own.length;
		const [zMean, yMean] = [mean(({ rate }) => regressor(rate)), mean((one) => one.yield)];
		for (const one of own) {
			const [z, y] = [regressor(one.rate) - zMean, one.yield - yMean];
			zz += z * z;
			zy += z * y;
			yy += y * y;
		}
	}
	return { flat: yy, left: zz > 0 ? yy - (zy * zy) / zz : yy, slope: zy / zz };
}

function pOf(gained: number, left: number, df1: number, df2: number, squares: number): number {
	if (!(gained > NOTHING * squares)) return 1;
	if (left <= NOTHING * squares) return 0;
	return 1 - jstat.centralF.cdf(gained / left, df1, df2);
}
