import jstat from 'jstat';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Observation } from '../../../schema-types';
import { distinctRates, rateMeans, roomForRates, type RateMeans } from './rate-means';
import type { Coefficients, ResponseModel } from './response-model';
import { fitStraightLine } from './straight-line';

/** Fewer blocks than this say nothing of how blocks differ; residuals are drawn instead. */
const LEAST_BLOCKS = 3;
const STEP = 100;
/** Of the interval: 90 % lies between these shares of the samples. */
export const LEVEL = 0.9;

/** The interval of the economic optimum, lb/ac, and how it came about. */
export interface OptimumSpread {
	low: number;
	high: number;
	by: 'block' | 'residual';
	replicates: number;
	/** Share of samples with the optimum at or beyond the highest rate, counted as that rate. */
	atHighestShare: number;
}

/**
 * 90 % interval of the economic optimum by bootstrap: blocks are drawn with replacement and the curve is fitted to
 * each draw; percentiles of R's type 7. Without blocks (or with fewer than three) residuals about the curve are
 * drawn. An optimum outside the tested rates counts as the nearest of them.
 * @param model the shape chosen on the whole trial, @param p its coefficients there
 * @param priceRatio price of a pound of nitrogen over that of a unit of yield
 */
export function* bootstrapOptimum(
	observations: readonly Observation[],
	model: ResponseModel,
	p: Coefficients,
	priceRatio: number,
	replicates: number,
	seed: number
): Generator<{ done: number; total: number }, OptimumSpread> {
	const blocks = blocksOf(observations);
	const by = blocks.length >= LEAST_BLOCKS ? 'block' : 'residual';
	const draw = by === 'block' ? blockDraws(observations, blocks) : residualDraws(observations, model, p);
	const random = xoroshiro128plus(seed);
	const fitted = new Float64Array(3);
	const optima: number[] = [];
	let atHighest = 0;
	for (let done = 1; done <= replicates; done++) {
		const data = draw((below) => uniformInt(random, 0, below - 1));
		const highest = data.rates[data.count - 1]!;
		const optimum = optimumOf(data, model, fitted, priceRatio);
		if (optimum >= highest) atHighest++;
		optima.push(Math.min(Math.max(optimum, data.rates[0]!), highest));
		if (done % STEP === 0) yield { done, total: replicates };
	}
	const [low, high] = jstat.quantiles(optima, [(1 - LEVEL) / 2, (1 + LEVEL) / 2], 1, 1) as [number, number];
	return { low, high, by, replicates, atHighestShare: atHighest / replicates };
}

/** Without the model's shape in a draw the straight line decides: it pays to the end, or not at all. */
function optimumOf(data: RateMeans, model: ResponseModel, fitted: Coefficients, priceRatio: number): number {
	if (!Number.isNaN(model.fit(data, fitted))) return model.economicOptimum(fitted, priceRatio);
	return fitStraightLine(data) && data.line.slope > priceRatio ? Infinity : -Infinity;
}

type Draw = (below: (count: number) => number) => RateMeans;

/** The names of the blocks; none where a plot has no block. */
export function blocksOf(observations: readonly Observation[]): (string | number)[] {
	const named = observations.flatMap(({ block }) => (block === undefined ? [] : [block]));
	return named.length === observations.length ? [...new Set(named)] : [];
}

/** Sums of each block by rate are made once; a draw adds up those of the blocks that were drawn. */
function blockDraws(observations: readonly Observation[], blocks: readonly (string | number)[]): Draw {
	const rates = distinctRates(observations);
	const sums = blocks.map((block) => {
		const own = observations.filter((one) => one.block === block);
		const at = (rate: number) => own.filter((one) => one.rate === rate);
		return {
			plots: rates.map((rate) => at(rate).length),
			yields: rates.map((rate) => at(rate).reduce((sum, one) => sum + one.yield, 0))
		};
	});
	const data = roomForRates(rates.length);
	return (below) => {
		const drawn = blocks.map(() => sums[below(blocks.length)]!);
		data.count = 0;
		for (let at = 0; at < rates.length; at++) {
			let plots = 0;
			let yields = 0;
			for (const block of drawn) {
				plots += block.plots[at]!;
				yields += block.yields[at]!;
			}
			if (plots === 0) continue;
			data.rates[data.count] = rates[at]!;
			data.plots[data.count] = plots;
			data.means[data.count] = yields / plots;
			data.count++;
		}
		return data;
	};
}

/** Residuals widened by n/(n - 3), because the fit has made them small. */
function residualDraws(observations: readonly Observation[], model: ResponseModel, p: Coefficients): Draw {
	const data = rateMeans(observations);
	const place = observations.map(({ rate }) => data.rates.indexOf(rate));
	const curve = Float64Array.from(data.rates, (rate) => model.yieldAt(p, rate));
	const widen = Math.sqrt(observations.length / Math.max(1, observations.length - 3));
	const residuals = observations.map((one, at) => (one.yield - curve[place[at]!]!) * widen);
	return (below) => {
		data.means.fill(0);
		for (const at of place) data.means[at]! += residuals[below(residuals.length)]!;
		for (let at = 0; at < data.count; at++) data.means[at] = curve[at]! + data.means[at]! / data.plots[at]!;
		return data;
	};
}
