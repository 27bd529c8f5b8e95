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
	return ranges.find(({ crop: id, fromAge, toAge }) => {
		if (id !== crop.id) return false;
		if (fromAge === undefined && toAge === undefined) return true;
		return age !== undefined && age >= (fromAge ?? 1) && age <= (toAge ?? Infinity);
	});
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
