import { valueIfKnown } from '../../figure/figure';
import { plantAge } from '../../ground/block/block-age';
import type { LeafElement, LeafRange, LeafRanges, LeafTest } from '../../schema-types';
import type { Site } from '../site';

/**
 * The ranges that a leaf test of this crop and age is read against.
 * @returns undefined where none are known, or where they differ by age and the block is not described
 */
export function leafRangesFor(
	{ crop, block, cropYear }: Pick<Site, 'crop' | 'block' | 'cropYear'>,
	ranges: readonly LeafRanges[]
): LeafRanges | undefined {
	const age = block && valueIfKnown(plantAge(block, cropYear));
	return ranges.find((one) => {
		if (one.crop !== crop.id) return false;
		if (!goesByAge(one)) return true;
		return age !== undefined && age >= (one.fromAge ?? 1) && age <= (one.toAge ?? Infinity);
	});
}

/** Whether ranges hold for an age: their "when" tells it then, not the time of picking. */
export function goesByAge({ fromAge, toAge }: Pick<LeafRanges, 'fromAge' | 'toAge'>): boolean {
	return fromAge !== undefined || toAge !== undefined;
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
