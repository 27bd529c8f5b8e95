import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { bestSplit, type Site } from './critical-values';

/** Chance below which a response counts: the usual 5 %. */
const LEVEL = 0.05;
const PERMUTATIONS = 1999;
/** Where every site yields so much without the nutrient, nothing was lacking, percent; common practice. */
const ENOUGH_PERCENT = 95;

/** Whether sites respond to the nutrient that the test measures. */
export interface ResponseTest {
	/** Share of shuffled yields that split as well by the test or better; undefined where no site yields little enough to ask. */
	p: number | undefined;
	/** In words why there is no response; undefined where there is one. */
	none: string | undefined;
}

/**
 * Whether yields rise with the test beyond chance: by how much the best split of the sites parts the yields, against the same of yields
 * shuffled over the sites (a permutation test, Fisher 1935).
 * @param seed of the shuffles
 */
export function responseTest(sites: readonly Site[], seed: number): ResponseTest {
	if (sites.every(({ relativeYield }) => relativeYield >= ENOUGH_PERCENT)) {
		const none = `No response seen: every site yields ${ENOUGH_PERCENT} % or more without the nutrient.`;
		return { p: undefined, none };
	}
	const found = partedBy(sites);
	const random = xoroshiro128plus(seed);
	const yields = sites.map(({ relativeYield }) => relativeYield);
	let asFar = 1;
	for (let draw = 0; draw < PERMUTATIONS; draw++) {
		for (let at = yields.length - 1; at > 0; at--) {
			const other = uniformInt(random, 0, at);
			[yields[at], yields[other]] = [yields[other]!, yields[at]!];
		}
		if (partedBy(sites.map((site, at) => ({ ...site, relativeYield: yields[at]! }))) >= found) asFar++;
	}
	const p = asFar / (PERMUTATIONS + 1);
	if (p < LEVEL) return { p, none: undefined };
	const none = `No response seen: shuffled yields part as well by the test in ${Math.round(100 * p)} of 100 draws.`;
	return { p, none };
}

/** Sum of squares between the two groups of the best split; nothing where the higher tests yield less. */
function partedBy(sites: readonly Site[]): number {
	const split = bestSplit(sites);
	return split && split.above > split.below ? split.total - split.rss : 0;
}
