import { keysOf } from '../../check/typed-object';
import type { LeafElement, LeafRange, LeafRanges, LeafResults } from '../../schema-types';
import { leafRangeOf } from './leaf-range';
import { leafUnit } from '../../units/leaf-units';

/** An element of a leaf test against its range. */
export interface LeafVerdict {
	element: LeafElement;
	value: number;
	range: LeafRange;
	/** Where it stands; undefined inside the range. */
	off: 'low' | 'high' | undefined;
	/** The end of the range that it is off. */
	edge: number | undefined;
}

/** "0.24 %, below 0.26 % for ear leaf, initial silk": a value off its range; undefined inside it. */
export function offText({ element, value, off, edge }: LeafVerdict, ranges: LeafRanges): string | undefined {
	const unit = leafUnit(element);
	return off && `${value} ${unit}, ${off === 'low' ? 'below' : 'above'} ${edge} ${unit} for ${leavesFor(ranges)}`;
}

/** The leaves that ranges are for, and when they are picked. */
export function leavesFor({ part, when }: LeafRanges): string {
	return `${part}, ${when}`;
}

const DIGITS = 3;

/** Every element that was measured and has a range. */
export function leafVerdicts(results: LeafResults, ranges: LeafRanges): LeafVerdict[] {
	return keysOf(results).flatMap((element) => {
		const value = results[element];
		const range = leafRangeOf(ranges, element, results);
		if (value === undefined || range === undefined) return [];
		const off = value < range.low ? 'low' : range.high !== undefined && value > range.high ? 'high' : undefined;
		const edge = off === undefined ? undefined : Number((off === 'low' ? range.low : range.high!).toFixed(DIGITS));
		return [{ element, value, range, off, edge }];
	});
}

/** An element that a bad and a good spot differ in. */
export interface SpotDifference {
	element: LeafElement;
	bad: number;
	good: number;
	/** (good - bad) / width of the range. */
	apart: number;
}

/**
 * What differs between a bad and a good spot, the most first relative to its range; common practice. A range without an
 * upper end counts as wide as its lower end is high.
 */
export function spotDifferences(bad: LeafResults, good: LeafResults, ranges: LeafRanges): SpotDifference[] {
	return leafVerdicts(bad, ranges)
		.flatMap(({ element, value, range: { low, high } }) => {
			const other = good[element];
			if (other === undefined) return [];
			return [{ element, bad: value, good: other, apart: (other - value) / ((high ?? 2 * low) - low) }];
		})
		.sort((a, b) => Math.abs(b.apart) - Math.abs(a.apart));
}

/** Apart by less than this share of its range, two spots are alike; common practice. */
const ALIKE = 0.15;

export function areAlike({ apart }: Pick<SpotDifference, 'apart'>): boolean {
	return Math.abs(apart) < ALIKE;
}
