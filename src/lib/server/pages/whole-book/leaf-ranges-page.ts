import type { LeafRanges } from '../../../../core/schema-types';
import { sameLeaves } from '../../../../core/reading/leaf/leaf-range';
import type { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { listOwnLeafRanges } from '../../stores/tests/own-leaf-ranges';

/** What leaf tests are read against, by crop: the adviser's own ranges before the program's. */
export function leafRangesPage({ book, library: { crops } }: Desk) {
	const own = listOwnLeafRanges(book);
	const named = (ranges: LeafRanges) => ({
		cropName: crops.find(({ id }) => id === ranges.crop)?.name ?? ranges.crop,
		ranges
	});
	const rows = [
		...own.map(({ id, ranges }) => ({ id, own: true, givesWay: false, ...named(ranges) })),
		...theLibrary().leafRanges.map((ranges, at) => ({
			id: `shipped-${at}`,
			own: false,
			givesWay: own.some((mine) => sameLeaves(mine.ranges, ranges)),
			...named(ranges)
		}))
	];
	return {
		title: 'Leaf ranges',
		crops: crops.map(({ id, name }) => ({ id, name })),
		rows: rows.sort((a, b) => a.cropName.localeCompare(b.cropName) || Number(b.own) - Number(a.own))
	};
}
