import { longDate } from '../../units/day-text';
import { fitsRanges, leafRangesFor } from '../leaf/leaf-range';
import { leafVerdicts, leavesFor, offText } from '../leaf/read-leaf';
import type { Finding, ReportCheck } from './finding';

/** A leaf test against the ranges of its crop, part and age; what was picked elsewhere is not read. */
export const leafAgainstRanges: ReportCheck = ({ site, leafRanges = [] }) => {
	const { leaf } = site.blockYear;
	const ranges = leaf && leafRangesFor(site, leafRanges, leaf);
	if (!ranges) return [];
	const { part, takenOn, ...results } = leaf;
	if (!fitsRanges(ranges, { part })) {
		return [
			{
				code: 'leaf-other-part',
				severity: 'note',
				text: `The leaf test is of “${part}”; the ranges of ${site.crop.name.toLowerCase()} are for ${leavesFor(ranges)}. It is not read against them.`,
				remedy: `Pick ${leavesFor(ranges)}, or correct what was picked.`
			}
		];
	}
	return leafVerdicts(results, ranges).flatMap((verdict): Finding[] => {
		const { element, off } = verdict;
		if (off === undefined) return [];
		const taken = takenOn === undefined ? '' : ` of ${longDate(takenOn)}`;
		return [
			{
				code: `leaf-${off}`,
				severity: off === 'low' ? 'mind' : 'note',
				text: `Leaf ${element}${taken} is ${offText(verdict, ranges)}.`,
				remedy:
					off === 'low'
						? `See what the rates of ${element} say, and look at growth, crop and roots too before you feed: a leaf test says what is in the plant, not why.`
						: `Nothing is lacking there; rates of ${element} that go by the leaf fall.`
			}
		];
	});
};
