import jstat from 'jstat';
import { fitStraightLine } from './shapes/straight-line';
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
 * with 3 coefficients against 1 and 2, at 0.05, each with the blocks as a term.
 * @param data of plots with the blocks taken out, @param blockFreedom blocks less one
 * @param rss of the best curve over all plots; Infinity where none fits
 */
export function testResponse(data: RateMeans, observations: number, blockFreedom: number, rss: number): ResponseTests {
	const lineFreedom = observations - 2 - blockFreedom;
	const freedom = observations - 3 - blockFreedom;
	const squares = sumOf(data, ({ plots, means }, at) => plots[at]! * means[at]! ** 2) + data.withinRates;
	const mean = sumOf(data, ({ plots, means }, at) => plots[at]! * means[at]!) / observations;
	const flat = sumOf(data, ({ plots, means }, at) => plots[at]! * (means[at]! - mean) ** 2) + data.withinRates;
	fitStraightLine(data);
	const straight = data.line.rss + data.withinRates;
	const response = pOf((flat - rss) / 2, rss / freedom, 2, freedom, squares);
	const curvature = pOf(straight - rss, rss / freedom, 1, freedom, squares);
	if (flat <= NOTHING * squares) return { response: 1, curvature: 1, verdict: 'flat' };
	const rises = pOf(flat - straight, straight / lineFreedom, 1, lineFreedom, squares);
	const curved = response < SIGNIFICANT && curvature < SIGNIFICANT;
	if (curved) return { response, curvature, verdict: 'curve' };
	const step = levelFromSecondRate(data) + data.withinRates;
	if (step < straight && pOf(flat - step, step / lineFreedom, 1, lineFreedom, squares) < SIGNIFICANT) {
		return { response, curvature, verdict: data.means[0]! < data.means[1]! ? 'step' : 'falling' };
	}
	const verdict = rises < SIGNIFICANT ? (data.line.slope > 0 ? 'straight' : 'falling') : 'flat';
	return { response, curvature, verdict };
}

/** Sum of squares between rates where all rates but the lowest have one mean. */
function levelFromSecondRate({ count, plots, means }: RateMeans): number {
	let weight = 0;
	let sum = 0;
	for (let at = 1; at < count; at++) {
		weight += plots[at]!;
		sum += plots[at]! * means[at]!;
	}
	let squares = 0;
	for (let at = 1; at < count; at++) squares += plots[at]! * (means[at]! - sum / weight) ** 2;
	return squares;
}

function pOf(gained: number, left: number, df1: number, df2: number, squares: number): number {
	if (!(gained > NOTHING * squares)) return 1;
	if (left <= NOTHING * squares) return 0;
	return 1 - jstat.centralF.cdf(gained / left, df1, df2);
}

function sumOf(data: RateMeans, term: (data: RateMeans, at: number) => number): number {
	let sum = 0;
	for (let at = 0; at < data.count; at++) sum += term(data, at);
	return sum;
}
