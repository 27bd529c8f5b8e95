import type { Observation } from '../../../schema-types';
import { blocksOf } from './blocks-of';

/** Plots without what their blocks add, and how many freedoms that took. */
export interface Unblocked {
	observations: readonly Observation[];
	/** Blocks less one; 0 where there are none. */
	freedom: number;
}

/** The effects of blocks and rates settle to the last digits in far fewer rounds, also where plots are missing. */
const MOST_ROUNDS = 500;
const SETTLED = 1e-12;

/**
 * Plots with the effect of their block taken off, so that blocks are a term of every curve and every test: the additive model of
 * blocks and rates by least squares (alternating means), with block effects that sum to 0. For complete blocks every curve through the
 * adjusted plots is the curve of R's `lm` or `nls` with blocks as a factor; where plots are missing `fitAmongBlocks` goes on from here.
 */
export function withoutBlocks(observations: readonly Observation[]): Unblocked {
	const blocks = blocksOf(observations);
	if (blocks.length < 2) return { observations, freedom: 0 };
	const effects = blockEffects(observations, blocks);
	return {
		observations: observations.map((one) => ({ ...one, yield: one.yield - effects.get(one.block!)! })),
		freedom: blocks.length - 1
	};
}

function blockEffects(
	observations: readonly Observation[],
	blocks: readonly (string | number)[]
): Map<string | number, number> {
	const effects = new Map(blocks.map((block) => [block, 0]));
	const size = observations.reduce((most, one) => Math.max(most, Math.abs(one.yield)), 1);
	for (let round = 0; round < MOST_ROUNDS; round++) {
		const rates = meansBy(
			observations,
			({ rate }) => rate,
			(one) => one.yield - effects.get(one.block!)!
		);
		const next = meansBy(
			observations,
			({ block }) => block!,
			(one) => one.yield - rates.get(one.rate)!
		);
		const mean = [...next.values()].reduce((sum, effect) => sum + effect, 0) / blocks.length;
		let moved = 0;
		for (const block of blocks) {
			const effect = next.get(block)! - mean;
			moved = Math.max(moved, Math.abs(effect - effects.get(block)!));
			effects.set(block, effect);
		}
		if (moved <= SETTLED * size) break;
	}
	return effects;
}

function meansBy<K>(
	observations: readonly Observation[],
	keyOf: (one: Observation) => K,
	valueOf: (one: Observation) => number
): Map<K, number> {
	const sums = new Map<K, { sum: number; count: number }>();
	for (const one of observations) {
		const { sum, count } = sums.get(keyOf(one)) ?? { sum: 0, count: 0 };
		sums.set(keyOf(one), { sum: sum + valueOf(one), count: count + 1 });
	}
	return new Map([...sums].map(([key, { sum, count }]) => [key, sum / count]));
}
