import { LEAF_ELEMENTS, leafUnit } from '$core/units/leaf-units';
import type { LeafElement, LeafRange, LeafRanges } from '$core/schema-types';
import { numberOrUndefined } from '../../forms/numbers';

/** Ranges as they are typed. */
export interface TypedRanges {
	crop: string;
	part: string;
	when: string;
	/** Other words for the time, with commas between. */
	stages: string;
	fromAge: string;
	toAge: string;
	how: string;
	leaves: string;
	citation: string;
	low: Partial<Record<LeafElement, string>>;
	high: Partial<Record<LeafElement, string>>;
}

export function emptyRanges(crop: string): TypedRanges {
	return {
		crop,
		part: '',
		when: '',
		stages: '',
		fromAge: '',
		toAge: '',
		how: '',
		leaves: '',
		citation: '',
		low: {},
		high: {}
	};
}

/** Ranges that stand, to be changed into the adviser's own. */
export function typedFrom(ranges: LeafRanges): TypedRanges {
	const ends = (end: 'low' | 'high') =>
		Object.fromEntries(LEAF_ELEMENTS.map((element) => [element, ranges.ranges[element]?.[end]?.toString() ?? '']));
	return {
		...emptyRanges(ranges.crop),
		part: ranges.part,
		when: ranges.when,
		stages: ranges.stages?.join(', ') ?? '',
		fromAge: ranges.fromAge?.toString() ?? '',
		toAge: ranges.toAge?.toString() ?? '',
		how: ranges.sampling?.how ?? '',
		leaves: ranges.sampling?.leaves?.toString() ?? '',
		citation: ranges.citation ?? '',
		low: ends('low'),
		high: ends('high')
	};
}

/**
 * The ranges behind what was typed, or what is wrong with it.
 * @param from those that they were made from: what the form does not ask is taken over
 */
export function readRanges(typed: TypedRanges, from?: LeafRanges): LeafRanges | string {
	const part = typed.part.trim();
	const when = typed.when.trim();
	if (part.length < 2 || when.length < 2) return 'Say which leaves the ranges are for and when they are picked.';
	const ranges: Partial<Record<LeafElement, LeafRange>> = {};
	for (const element of LEAF_ELEMENTS) {
		const range = readRange(element, typed.low[element] ?? '', typed.high[element] ?? '');
		if (typeof range === 'string') return range;
		if (range) ranges[element] = range;
	}
	if (Object.keys(ranges).length === 0) return 'Type in the range of at least one element.';
	const counts: Partial<Record<'fromAge' | 'toAge' | 'leaves', number>> = {};
	for (const [key, name] of [
		['fromAge', 'From year'],
		['toAge', 'To year'],
		['leaves', 'Leaves of a sample']
	] as const) {
		if (typed[key].trim() === '') continue;
		const count = numberOrUndefined(typed[key]);
		if (count === undefined || !Number.isInteger(count) || count < 1 || count > 500) {
			return `${name} “${typed[key]}” must be a whole number from 1 to 500.`;
		}
		counts[key] = count;
	}
	const how = typed.how.trim();
	if (how === '' && counts.leaves !== undefined) return 'Say how the leaves are picked, or leave their number out.';
	const stages = typed.stages.split(',').flatMap((word) => word.trim() || []);
	const citation = typed.citation.trim();
	const { leaves, ...ages } = counts;
	const drawing = from?.sampling?.drawing;
	return {
		...taken(from),
		crop: typed.crop,
		part,
		when,
		basis: 'adviser',
		ranges,
		...ages,
		...(stages.length > 0 ? { stages } : {}),
		...(citation ? { citation } : {}),
		...(how === ''
			? {}
			: {
					sampling: { how, basis: 'adviser' as const, ...(leaves ? { leaves } : {}), ...(drawing ? { drawing } : {}) }
				})
	};
}

/** What the form does not ask. */
function taken(from: LeafRanges | undefined): Pick<LeafRanges, 'parts' | 'criticalP' | 'mostNToS' | 'rescue'> {
	return {
		...(from?.parts ? { parts: from.parts } : {}),
		...(from?.criticalP ? { criticalP: from.criticalP } : {}),
		...(from?.mostNToS ? { mostNToS: from.mostNToS } : {}),
		...(from?.rescue ? { rescue: from.rescue } : {})
	};
}

function readRange(element: LeafElement, lowText: string, highText: string): LeafRange | string | undefined {
	if (lowText.trim() === '' && highText.trim() === '') return undefined;
	const low = numberOrUndefined(lowText);
	const high = numberOrUndefined(highText);
	const unit = leafUnit(element);
	if (low === undefined || low <= 0) return `${element}: the lower end “${lowText}” must be ${unit} above 0.`;
	if (highText.trim() === '') return { low };
	if (high === undefined || high <= low) {
		return `${element}: the upper end “${highText}” must be ${unit} above its lower end of ${low}.`;
	}
	return { low, high };
}
