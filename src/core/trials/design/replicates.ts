import { noncentralTChance, tAt } from '../analysis/distributions';
import { USUAL_LEVEL } from '../analysis/usual-values';

/** The chance that is asked of a trial to see what is there; common practice. */
export const WANTED_POWER = 0.8;
/** More replicates than this are no trial on a farm. */
export const MOST_REPLICATES = 200;

/**
 * Chance that a two-sided t test of two means sees a difference, 0 to 1. In blocks the standard deviation is the one within
 * blocks. Source: R, `power.t.test` (the far tail is left out, as there).
 * @param replicates plots of each treatment, 2 or more
 */
export function powerOf(replicates: number, difference: number, sd: number, level = USUAL_LEVEL): number {
	const df = 2 * (replicates - 1);
	return 1 - noncentralTChance(tAt(level, df), df, Math.sqrt(replicates / 2) * (difference / sd));
}

/** The fewest replicates by which a difference is seen in 8 of 10 trials; undefined where MOST_REPLICATES do not. */
export function replicatesNeeded(difference: number, sd: number, level = USUAL_LEVEL): number | undefined {
	for (let replicates = 2; replicates <= MOST_REPLICATES; replicates++) {
		if (powerOf(replicates, difference, sd, level) >= WANTED_POWER) return replicates;
	}
	return undefined;
}

/** The least difference that so many replicates see in 8 of 10 trials. */
export function seenDifference(replicates: number, sd: number, level = USUAL_LEVEL): number {
	let [low, high] = [0, sd];
	for (let at = 0; at < 60 && powerOf(replicates, high, sd, level) < WANTED_POWER; at++) high *= 2;
	for (let at = 0; at < 60; at++) {
		const middle = (low + high) / 2;
		if (powerOf(replicates, middle, sd, level) < WANTED_POWER) low = middle;
		else high = middle;
	}
	return high;
}
