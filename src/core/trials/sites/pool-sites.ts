import type { PoolAnswer, PoolRequest } from '../../schema-types';
import { chiSquareChance, tAt, tChance } from '../analysis/distributions';
import { USUAL_LEVEL } from '../analysis/usual-values';
import { chanceText } from '../analysis/verdict';

const MOST_STEPS = 200;
const CLOSE = 1e-12;

/**
 * Effects of several sites as one, sites taken as drawn from many: variance between them by restricted maximum likelihood (Fisher
 * scoring), interval by Knapp and Hartung 2003, Statistics in Medicine 22. Reference: R `metafor`, `rma(test = "knha")`.
 * @param request two sites or more, each with its effect and standard error
 */
export function poolSites({ effects, level = USUAL_LEVEL }: PoolRequest): PoolAnswer {
	const ys = effects.map(({ effect }) => effect);
	const vs = effects.map(({ se }) => se ** 2);
	const free = ys.length - 1;
	const tau2 = varianceBetween(ys, vs);
	const weights = weightsOf(vs, tau2);
	const { mean: effect, spread, total } = weighted(ys, weights);
	const se = Math.sqrt(spread / free / total);
	const t = tAt(level, free);
	const fixed = vs.map((v) => 1 / v);
	const { spread: q, total: fixedTotal } = weighted(ys, fixed);
	const squares = fixed.reduce((sum, w) => sum + w * w, 0);
	const typical = (free * fixedTotal) / (fixedTotal ** 2 - squares);
	const half = t * se;
	const wide = t * Math.sqrt(se ** 2 + tau2);
	const p = tChance(effect / se, free);
	const i2Percent = (100 * tau2) / (tau2 + typical);
	const answer = {
		effect,
		se,
		low: effect - half,
		high: effect + half,
		p,
		tau2,
		i2Percent,
		q,
		qP: chiSquareChance(q, free),
		predictionLow: effect - wide,
		predictionHigh: effect + wide
	};
	return { ...answer, verdict: verdictOf(answer, ys.length, level) };
}

/**
 * What each site weighs, by its variance and that between sites.
 * @param vs squares of the sites' standard errors
 */
export function weightsOf(vs: readonly number[], tau2: number): number[] {
	return vs.map((v) => 1 / (v + tau2));
}

interface Weighted {
	mean: number;
	/** Weighted squares about the mean. */
	spread: number;
	total: number;
}

function weighted(ys: readonly number[], weights: readonly number[]): Weighted {
	const total = weights.reduce((sum, w) => sum + w, 0);
	const mean = ys.reduce((sum, y, at) => sum + weights[at]! * y, 0) / total;
	return { mean, spread: ys.reduce((sum, y, at) => sum + weights[at]! * (y - mean) ** 2, 0), total };
}

/** Restricted maximum likelihood by Fisher scoring; never below zero. */
function varianceBetween(ys: readonly number[], vs: readonly number[]): number {
	const even = weighted(
		ys,
		ys.map(() => 1)
	);
	let tau2 = Math.max(0, even.spread / (ys.length - 1) - vs.reduce((sum, v) => sum + v, 0) / vs.length);
	for (let step = 0; step < MOST_STEPS; step++) {
		const weights = weightsOf(vs, tau2);
		const { mean, total } = weighted(ys, weights);
		const powers = (n: number) => weights.reduce((sum, w) => sum + w ** n, 0);
		const [second, third] = [powers(2), powers(3)];
		// Of the projection that takes the mean out: its trace, and that of its square.
		const trace = total - second / total;
		const square = second - (2 * third) / total + (second / total) ** 2;
		const quadratic = ys.reduce((sum, y, at) => sum + (weights[at]! * (y - mean)) ** 2, 0);
		const next = Math.max(0, tau2 + (quadratic - trace) / square);
		if (Math.abs(next - tau2) <= CLOSE * (1 + tau2)) return next;
		tau2 = next;
	}
	return tau2;
}

function verdictOf(
	{ effect, low, high, p, i2Percent, predictionLow, predictionHigh }: Omit<PoolAnswer, 'verdict'>,
	sites: number,
	level: number
): string {
	const text = (value: number) => String(Number(value.toPrecision(3)));
	const proven = low > 0 || high < 0;
	const sure = proven
		? `Over ${sites} sites the effect is ${text(effect)} (${text(low)} to ${text(high)}), beyond chance (${chanceText(p)}).`
		: `Over ${sites} sites the effect is ${text(effect)}, somewhere from ${text(low)} to ${text(high)}: not told from none.`;
	const next = `On one more site like these it would be from ${text(predictionLow)} to ${text(predictionHigh)} in ${Math.round(100 * level)} of 100.`;
	const differ =
		i2Percent >= 50
			? ` The sites differ by more than their plots do (${Math.round(i2Percent)} % of the spread lies between them): ask what divides them.`
			: '';
	return `${sure} ${next}${differ}`;
}
