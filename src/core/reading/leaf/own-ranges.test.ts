import { describe, expect, it } from 'vitest';
import type { LeafRanges } from '../../schema-types';
import { answerLeaf } from './answer-leaf';
import { leafRangeProblems } from './check-leaf-ranges';
import { joinedLeafRanges } from './leaf-range';
import { library } from '../../testing.test-help';

const own = (change: Partial<LeafRanges> = {}): LeafRanges => ({
	crop: 'corn-grain',
	part: 'Ear Leaf',
	when: 'initial  silk',
	basis: 'adviser',
	ranges: { N: { low: 2.5, high: 3 } },
	...change
});
const read = (part: string, stage: string, ...mine: LeafRanges[]) =>
	answerLeaf(
		{ crop: 'corn-grain', part, stage, results: { N: 2.6 } },
		{ ...library, leafRanges: joinedLeafRanges(library.leafRanges, mine) }
	);

describe('ranges of the adviser’s own', () => {
	it('stand in place of the program’s for the same leaves, whatever the case and spaces', () => {
		expect(read('ear leaf', 'initial silk').findings).toMatchObject([{ code: 'leaf-low', element: 'N' }]);
		expect(read('ear leaf', 'initial silk', own()).findings).toEqual([]);
		expect(joinedLeafRanges(library.leafRanges, [own()])).toHaveLength(library.leafRanges.length);
	});
	it('stand beside them for other leaves, and a test is read against those that were picked', () => {
		const plant = own({ part: 'whole plant', when: 'V5', stages: ['V4 to V6'], ranges: { N: { low: 3.5 } } });
		expect(read('whole plant', 'V4 to V6').readable).toBe(false);
		expect(read('whole plant', 'V4 to V6', plant)).toMatchObject({ readable: true, ranges: { part: 'whole plant' } });
		expect(read('ear leaf', 'R1', plant)).toMatchObject({ readable: true, ranges: { part: 'ear leaf' } });
	});
	it('another age is another range', () => {
		const young = own({ toAge: 3 });
		expect(joinedLeafRanges([own()], [young])).toHaveLength(2);
	});
	it.each([
		[[own({ crop: 'maize' })], '/ranges/0/crop', /“maize” is no crop/],
		[
			[own({ ranges: { P: { low: 0.5, high: 0.3 } } })],
			'/ranges/0/ranges/P',
			/ends at 0.3.*above its lower end of 0.5/
		],
		[[own({ ranges: { N: { low: 29, high: 35 } } })], '/ranges/0/ranges/N', /35 must be in % of dry matter/],
		[[own({ fromAge: 7, toAge: 3 })], '/ranges/0/fromAge', /is 7, above the last year of 3/],
		[[own(), own({ part: 'ear leaf' })], '/ranges/1', /same leaves as \/ranges\/0/]
	])('what the schema cannot see is told: %#', (all, path, words) => {
		expect(leafRangeProblems(all, ['corn-grain'])).toMatchObject([{ path, message: expect.stringMatching(words) }]);
	});
	it('35 ppm of zinc and 29 of iron are no percent', () => {
		expect(leafRangeProblems([own({ ranges: { Zn: { low: 29, high: 35 } } })], ['corn-grain'])).toEqual([]);
	});
});
