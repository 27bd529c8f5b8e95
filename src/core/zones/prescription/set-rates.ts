import type { PrescriptionLimits } from '../../schema-types';

const CENTS = 1000;

/**
 * Rates as a machine can set them: within least and most, in whole steps, and in at most so many classes. No rate at
 * all stays none: a zone that wants nothing is not given the least.
 * @param weights acres of each rate: classes are drawn so that the ground is shared out, and each takes the mean of its own
 */
export function settableRates(
	rates: readonly number[],
	weights: readonly number[],
	{ least, most, step, classes }: PrescriptionLimits
): number[] {
	const within = rates.map((rate) => (rate <= 0 ? 0 : stepped(Math.min(most, Math.max(least, rate)), step, most)));
	const levels = [...new Set(within)].sort((a, b) => a - b);
	if (classes === undefined || levels.length <= classes) return within;
	const groups = grouped(levels, within, weights, classes);
	return within.map((rate) => {
		const group = groups.find((levelsOf) => levelsOf.includes(rate))!;
		let sum = 0;
		let acres = 0;
		within.forEach((one, at) => {
			if (!group.includes(one)) return;
			sum += one * weights[at]!;
			acres += weights[at]!;
		});
		return stepped(sum / acres, step, most);
	});
}

function stepped(rate: number, step: number, most: number): number {
	const steps = Math.min(Math.round(rate / step), Math.floor(most / step + 1e-9));
	return Math.round(steps * step * CENTS) / CENTS;
}

/** Levels in runs that share the ground out as evenly as whole levels allow. */
function grouped(
	levels: readonly number[],
	rates: readonly number[],
	weights: readonly number[],
	classes: number
): number[][] {
	const acresOf = levels.map((level) => rates.reduce((sum, rate, at) => sum + (rate === level ? weights[at]! : 0), 0));
	const all = acresOf.reduce((sum, acres) => sum + acres, 0);
	const groups: number[][] = [];
	let taken = 0;
	levels.forEach((level, at) => {
		const middle = taken + acresOf[at]! / 2;
		const group = Math.min(classes - 1, Math.floor((middle / all) * classes));
		(groups[group] ??= []).push(level);
		taken += acresOf[at]!;
	});
	return groups.filter(Boolean);
}
