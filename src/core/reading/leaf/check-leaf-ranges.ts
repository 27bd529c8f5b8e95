import type { Problem } from '../../check/problem';
import { entriesOf } from '../../check/typed-object';
import type { LeafElement, LeafRange, LeafRanges } from '../../schema-types';
import { leafUnit } from '../../units/leaf-units';
import { sameLeaves } from './leaf-range';

/** Percent of dry matter cannot be more. */
const MOST_PERCENT = 15;

/**
 * What the schema cannot see in ranges that were typed or imported: a crop that no list has, ends the wrong way round, a
 * percentage that is none, ages the wrong way round, the same leaves twice.
 * @param at where they stand, such as "/ranges"
 */
export function leafRangeProblems(all: readonly LeafRanges[], crops: readonly string[], at = '/ranges'): Problem[] {
	return all.flatMap((one, index) => {
		const path = `${at}/${index}`;
		const problems = entriesOf<LeafElement, LeafRange>(one.ranges).flatMap(([element, range]) =>
			rangeProblems(element, range, `${path}/ranges/${element}`)
		);
		if (!crops.includes(one.crop)) {
			problems.push({ path: `${path}/crop`, message: `“${one.crop}” is no crop; known: ${crops.join(', ')}` });
		}
		if (one.fromAge !== undefined && one.toAge !== undefined && one.fromAge > one.toAge) {
			problems.push({ path: `${path}/fromAge`, message: `is ${one.fromAge}, above the last year of ${one.toAge}` });
		}
		const before = all.findIndex((other) => sameLeaves(other, one));
		if (before < index) problems.push({ path, message: `is for the same leaves as ${at}/${before}` });
		return problems;
	});
}

function rangeProblems(element: LeafElement, { low, high }: LeafRange, path: string): Problem[] {
	if (high !== undefined && high <= low) {
		return [{ path, message: `${element} ends at ${high}, which must be above its lower end of ${low}` }];
	}
	const most = high ?? low;
	if (leafUnit(element) === '%' && most > MOST_PERCENT) {
		return [{ path, message: `${element} of ${most} must be in % of dry matter, up to ${MOST_PERCENT}` }];
	}
	return [];
}
