import type { Fit, Observation, ResponseModelName } from '../../../schema-types';
import { tidy } from '../../../units/display';
import { namedCoefficients, responseModels } from './shapes/models';
import { blocksOf } from './blocks-of';
import { rateMeans, type RateMeans } from './rate-means';
import type { Coefficients, ResponseModel } from './shapes/response-model';
import { standardErrors } from './standard-errors';

/** Coefficients of a curve and the variance of the plots about it. */
const PARAMETERS = 4;

/** A model with its best coefficients. */
export interface Fitted {
	model: ResponseModel;
	p: Coefficients;
	/** Over all plots. */
	rss: number;
}

/** The shapes that the observations have, fitted by least squares; those they have not are left out. */
export function fitModels(data: RateMeans, names: readonly ResponseModelName[] | undefined): Fitted[] {
	return responseModels
		.filter(({ name }) => names === undefined || names.includes(name))
		.flatMap((model) => {
			const p = new Float64Array(3);
			const between = model.fit(data, p);
			return Number.isNaN(between) ? [] : [{ model, p, rss: between + data.withinRates }];
		});
}

/** Rounds and share of the squares at which curve and blocks no longer move each other. */
const MOST_ROUNDS = 500;
const SETTLED = 1e-14;

/**
 * A fit with the blocks as a factor, also where plots are missing: effects of the blocks about the curve, and the curve about those, in
 * turn until neither moves. Each step lowers the squares of R's `lm` or `nls` with block as a factor.
 * @param fitted a first fit, to plots without the blocks
 * @returns undefined where the plots have not the shape
 */
export function fitAmongBlocks(observations: readonly Observation[], fitted: Fitted): Fitted | undefined {
	const blocks = blocksOf(observations);
	if (blocks.length < 2) return fitted;
	const { model } = fitted;
	const p = Float64Array.from(fitted.p);
	let rss = fitted.rss;
	for (let round = 0; round < MOST_ROUNDS; round++) {
		const effects = effectsAbout(observations, blocks, ({ rate }) => model.yieldAt(p, rate));
		const data = rateMeans(observations.map((one) => ({ ...one, yield: one.yield - effects.get(one.block!)! })));
		const next = model.fit(data, p) + data.withinRates;
		if (Number.isNaN(next)) return undefined;
		const settled = Math.abs(rss - next) <= SETTLED * next;
		rss = next;
		if (settled) break;
	}
	return { model, p, rss };
}

/** What the blocks add to a curve, summing to 0. */
function effectsAbout(
	observations: readonly Observation[],
	blocks: readonly (string | number)[],
	yieldOf: (one: Observation) => number
): Map<string | number, number> {
	const means = blocks.map((block) => {
		const own = observations.filter((one) => one.block === block);
		return own.reduce((sum, one) => sum + one.yield - yieldOf(one), 0) / own.length;
	});
	const mean = means.reduce((sum, one) => sum + one, 0) / blocks.length;
	return new Map(blocks.map((block, at) => [block, means[at]! - mean]));
}

/**
 * The fit with the lowest AICc among those that have their optimum to show. All have as many coefficients, so the
 * lowest sum of squares has the lowest AICc, also where there are too few plots for AICc to exist.
 */
export function bestOf(fitted: readonly Fitted[], data: RateMeans): Fitted | undefined {
	const usable = fitted.filter((fit) => !isSecondName(fit, data));
	return usable.reduce<Fitted | undefined>(
		(best, fit) => (best && best.rss <= fit.rss * (1 + 1e-9) ? best : fit),
		undefined
	);
}

/** Shapes whose AICc lies within this of the best are not told apart: Burnham and Anderson 2002 (memory). */
const RIVAL_AICC = 2;

/** The best fit and those that the plots do not tell from it, the best first. */
export function rivalsOf(
	fitted: readonly Fitted[],
	best: Fitted,
	data: RateMeans,
	observations: number,
	blockFreedom: number
): Fitted[] {
	const score = ({ rss }: Fitted) => aicc(rss, observations, blockFreedom);
	const least = score(best);
	if (least === null) return [best];
	const near = fitted.filter((fit) => {
		const own = score(fit);
		return fit !== best && !isSecondName(fit, data) && own !== null && own - least <= RIVAL_AICC;
	});
	return [best, ...near.sort((a, b) => a.rss - b.rss)];
}

/** A quadratic-plateau whose join lies beyond the highest rate is the quadratic under another name. */
function isSecondName({ model, p }: Fitted, { rates, count }: RateMeans): boolean {
	return model.name === 'quadratic-plateau' && model.agronomicOptimum(p) >= rates[count - 1]!;
}

/**
 * AICc from the normal likelihood: n ln(2 pi rss/n) + n + 2 K + 2 K (K + 1)/(n - K - 1), K = 4 with the variance, and one for each block but one;
 * Hurvich and Tsai 1989 (memory). R's AIC with the small-sample term.
 * @returns null where n is K + 1 or less, or the fit is exact
 */
export function aicc(rss: number, observations: number, blockFreedom: number): number | null {
	const parameters = PARAMETERS + blockFreedom;
	const spare = observations - parameters - 1;
	if (spare <= 0 || rss <= 0) return null;
	return (
		observations * Math.log((2 * Math.PI * rss) / observations) +
		observations +
		2 * parameters +
		(2 * parameters * (parameters + 1)) / spare
	);
}

/** One model's fit as the answer tells it, or that the observations have not its shape. */
export function fitAnswer(
	model: ResponseModel,
	fitted: Fitted | undefined,
	data: RateMeans,
	observations: readonly Observation[],
	blockFreedom: number
): Fit {
	const { name, formula } = model;
	if (!fitted) {
		const note = 'The yields do not have this shape: no least sum of squares with an optimum was found.';
		return { model: name, formula, coefficients: null, rss: null, aicc: null, converged: false, note };
	}
	const { p, rss } = fitted;
	const errors = standardErrors(model, p, observations, rss);
	const level = name !== 'quadratic' && name !== 'mitscherlich';
	const join = level ? { join: tidy(model.agronomicOptimum(p)) } : {};
	const plateau = name === 'mitscherlich' ? { plateau: p[0]! } : level ? { plateau: model.yieldAt(p, Infinity) } : {};
	const note = isSecondName(fitted, data)
		? { note: 'The join lies beyond the highest tested rate: the same curve as the quadratic, with no plateau seen.' }
		: {};
	return {
		model: name,
		formula,
		coefficients: namedCoefficients(model, p),
		...(errors ? { standardErrors: namedCoefficients(model, errors) } : {}),
		rss,
		aicc: aicc(rss, observations.length, blockFreedom),
		...join,
		...plateau,
		converged: true,
		...note
	};
}
