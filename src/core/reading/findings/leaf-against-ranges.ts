import { keysOf } from '../../check/typed-object';
import type { LeafElement, LeafTest } from '../../schema-types';
import { longDate } from '../../units/day-text';
import { leafRangeOf, leafRangesFor } from '../leaf/leaf-range';
import type { Finding, ReportCheck } from './finding';

const PERCENT: readonly LeafElement[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];
const DIGITS = 3;

/** A leaf test against the ranges of its crop, part and age; what was picked elsewhere is not read. */
export const leafAgainstRanges: ReportCheck = ({ site, leafRanges = [] }) => {
	const { leaf } = site.blockYear;
	const ranges = leaf && leafRangesFor(site, leafRanges);
	if (!ranges) return [];
	const { part } = leaf;
	if (part !== undefined && part.trim().toLowerCase() !== ranges.part.toLowerCase()) {
		return [
			{
				code: 'leaf-other-part',
				severity: 'note',
				text: `The leaf test is of “${part}”; the ranges of ${site.crop.name.toLowerCase()} are for ${ranges.part}, ${ranges.when}. It is not read against them.`,
				remedy: `Pick ${ranges.part}, ${ranges.when}, or correct what was picked.`
			}
		];
	}
	return elementsOf(leaf).flatMap(([element, value]): Finding[] => {
		const range = leafRangeOf(ranges, element, leaf);
		const low = range !== undefined && value < range.low;
		const high = range?.high !== undefined && value > range.high;
		if (!low && !high) return [];
		const unit = PERCENT.includes(element) ? '%' : 'ppm';
		const edge = Number((low ? range.low : range!.high!).toFixed(DIGITS));
		const taken = leaf.takenOn === undefined ? '' : ` of ${longDate(leaf.takenOn)}`;
		return [
			{
				code: low ? 'leaf-low' : 'leaf-high',
				severity: low ? 'mind' : 'note',
				text: `Leaf ${element}${taken} is ${value} ${unit}, ${low ? 'below' : 'above'} ${edge} ${unit} for ${ranges.part}, ${ranges.when}.`,
				remedy: low
					? `See what the rates of ${element} say, and look at growth, crop and roots too before you feed: a leaf test says what is in the plant, not why.`
					: `Nothing is lacking there; rates of ${element} that go by the leaf fall.`
			}
		];
	});
};

function elementsOf(leaf: LeafTest): [LeafElement, number][] {
	return keysOf(leaf).flatMap((key) => {
		const value = leaf[key];
		return key === 'takenOn' || key === 'part' || typeof value !== 'number' ? [] : [[key, value]];
	});
}
