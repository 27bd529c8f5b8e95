import { describe, expect, it } from 'vitest';
import type { LeafRanges } from '$core/schema-types';
import { emptyRanges, readRanges, typedFrom } from './typed-ranges';

const EAR_LEAF: LeafRanges = {
	crop: 'corn-grain',
	part: 'ear leaf',
	parts: ['leaf at the ear'],
	when: 'initial silk',
	stages: ['R1', 'silking'],
	basis: 'memory',
	citation: 'E-2567',
	mostNToS: 15,
	rescue: ['S'],
	sampling: { how: 'The leaf at the ear.', basis: 'practice', leaves: 15, drawing: 'ear-leaf' },
	ranges: { N: { low: 2.9, high: 3.5 }, Zn: { low: 20, high: 70 }, Fe: { low: 21 } }
};
const typed = (change: Partial<ReturnType<typeof emptyRanges>>) =>
	readRanges({ ...typedFrom(EAR_LEAF), ...change }, EAR_LEAF);

describe('typed leaf ranges', () => {
	it('come back as they were, now the adviser’s, with what the form does not ask', () => {
		expect(typed({})).toEqual({
			...EAR_LEAF,
			basis: 'adviser',
			sampling: { ...EAR_LEAF.sampling, basis: 'adviser' }
		});
	});
	it('are new without what others had', () => {
		const own = { ...emptyRanges('soybean'), part: ' petiole ', when: 'full bloom', low: { K: '3' }, fromAge: '2' };
		expect(readRanges(own)).toEqual({
			crop: 'soybean',
			part: 'petiole',
			when: 'full bloom',
			basis: 'adviser',
			ranges: { K: { low: 3 } },
			fromAge: 2
		});
	});
	it.each([
		[{ part: ' ' }, /which leaves/],
		[{ low: {}, high: {} }, /at least one element/],
		[{ low: { N: 'x' }, high: {} }, /N: the lower end “x” must be % above 0/],
		[{ low: { Zn: '20' }, high: { Zn: '20' } }, /Zn: the upper end “20” must be ppm above its lower end of 20/],
		[{ leaves: '2.5' }, /Leaves of a sample “2.5” must be a whole number/],
		[{ how: '' }, /how the leaves are picked/]
	] as const)('%j is refused', (change, words) => {
		expect(typed(change)).toMatch(words);
	});
});
