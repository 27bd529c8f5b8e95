import { valueIfKnown } from '../../figure/figure';
import { plantAge } from '../../ground/block/block-age';
import type { LeafElement, LeafRange, LeafRanges, LeafTest } from '../../schema-types';
import type { Site } from '../site';

/** What was picked, and when; undefined where it was not told, which is not held against it. */
export interface PickedLeaves {
	part?: string | undefined;
	stage?: string | undefined;
}

/**
 * The ranges that a leaf test of this crop and age is read against: of several those for the leaves that were picked, else
 * the first.
 * @returns undefined where none are known, or where they differ by age and the block is not described
 */
export function leafRangesFor(
	{ crop, block, cropYear }: Pick<Site, 'crop' | 'block' | 'cropYear'>,
	ranges: readonly LeafRanges[],
	picked: PickedLeaves = {}
): LeafRanges | undefined {
	return rangesOfAge(crop.id, block && valueIfKnown(plantAge(block, cropYear)), ranges, picked);
}

/** The same, where the age is told. */
export function rangesOfAge(
	crop: string,
	age: number | undefined,
	ranges: readonly LeafRanges[],
	picked: PickedLeaves = {}
): LeafRanges | undefined {
	const known = rangesKnown(crop, age, ranges);
	return known.find((one) => fitsRanges(one, picked)) ?? known[0];
}

/** All ranges of a crop in a year of its life. */
export function rangesKnown(crop: string, age: number | undefined, ranges: readonly LeafRanges[]): LeafRanges[] {
	return ranges.filter((one) => {
		if (one.crop !== crop) return false;
		if (!goesByAge(one)) return true;
		return age !== undefined && age >= (one.fromAge ?? 1) && age <= (one.toAge ?? Infinity);
	});
}

/** Whether ranges hold for an age: their "when" tells it then, not the time of picking. */
export function goesByAge({ fromAge, toAge }: Pick<LeafRanges, 'fromAge' | 'toAge'>): boolean {
	return fromAge !== undefined || toAge !== undefined;
}

/** Whether a sample is of the part that the ranges are for, picked when they want it. */
export function fitsRanges(
	{ part, parts = [], when, stages = [] }: LeafRanges,
	{ part: picked, stage }: PickedLeaves
): boolean {
	const among = (told: string, words: readonly string[]) => words.some((word) => plain(word) === plain(told));
	const rightPart = picked === undefined || among(picked, [part, ...parts]);
	// Where no stage is listed, when cannot be told apart from other words for the same time.
	const rightStage = stage === undefined || stages.length === 0 || among(stage, [when, ...stages]);
	return rightPart && rightStage;
}

/** The adviser's own ranges before the program's, of which those of the same crop, leaves, time and age give way. */
export function joinedLeafRanges(shipped: readonly LeafRanges[], own: readonly LeafRanges[]): LeafRanges[] {
	return [...own, ...shipped.filter((one) => !own.some((mine) => sameLeaves(mine, one)))];
}

/** Whether two ranges are for the same crop, leaves, time and age. */
export function sameLeaves(a: LeafRanges, b: LeafRanges): boolean {
	return (
		a.crop === b.crop &&
		plain(a.part) === plain(b.part) &&
		plain(a.when) === plain(b.when) &&
		a.fromAge === b.fromAge &&
		a.toAge === b.toAge
	);
}

function plain(words: string): string {
	return words.trim().toLowerCase().replace(/\s+/g, ' ');
}

/**
 * The range of an element, % of dry matter (boron and metals ppm). Where nitrogen was measured and the ranges say so, the
 * lowest phosphorus goes by it: critical P = perN x N + plus.
 */
export function leafRangeOf(
	{ ranges, criticalP }: Pick<LeafRanges, 'ranges' | 'criticalP'>,
	element: LeafElement,
	leaf: Pick<LeafTest, 'N'>
): LeafRange | undefined {
	const range = ranges[element];
	if (element !== 'P' || !criticalP || leaf.N === undefined) return range;
	return { ...range, low: criticalP.perN * leaf.N + criticalP.plus };
}
