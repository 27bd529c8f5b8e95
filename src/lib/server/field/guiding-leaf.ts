import { fitsRanges, leafRangesFor } from '../../../core/reading/leaf/leaf-range';
import type { LeafLogEntry, LeafTest } from '../../../core/schema-types';
import type { Library } from '../knowledge';
import { blockOf, type FieldRow } from '../stores/fields';

/**
 * The leaf test of the log that a block's rates of a year go by: the newest of the whole block in that year or the one
 * before, of the part and time that the ranges are for.
 * @param tests the newest first
 */
export function guidingLeaf(
	tests: readonly LeafLogEntry[],
	field: FieldRow,
	{ crop: id, year }: { crop: string; year: number },
	{ crops, leafRanges }: Pick<Library, 'crops' | 'leafRanges'>
): LeafTest | undefined {
	const crop = crops.find((one) => one.id === id);
	const block = blockOf(field);
	if (!crop?.perennial) return undefined;
	const found = tests.find((test) => {
		const taken = Number(test.takenOn.slice(0, 4));
		if (test.crop !== id || test.spot !== 'whole' || taken < year - 1 || taken > year) return false;
		const ranges = leafRangesFor({ crop, block, cropYear: taken }, leafRanges, test);
		return ranges !== undefined && fitsRanges(ranges, test);
	});
	return found && { ...found.results, takenOn: found.takenOn, part: found.part };
}
