import { describe, expect, it } from 'vitest';
import type { LeafLogEntry } from '../../../core/schema-types';
import { theLibrary } from '../knowledge';
import type { FieldRow } from '../stores/fields';
import { guidingLeaf } from './guiding-leaf';

const library = theLibrary();
const field = { block: JSON.stringify({ plantedYear: 2012 }) } as FieldRow;
const july: LeafLogEntry = {
	takenOn: '2026-07-16',
	crop: 'almond',
	part: 'spur leaves',
	stage: 'July',
	spot: 'whole',
	results: { N: 2.3, K: 1.5 }
};
const guides = (tests: readonly LeafLogEntry[], year = 2027, crop = 'almond') =>
	guidingLeaf(tests, field, { crop, year }, library);

describe('the leaf test that rates of a block go by', () => {
	it('is the newest of the year or the one before, with its day and part', () => {
		const older = { ...july, takenOn: '2026-07-02', results: { N: 2.1 } };
		expect(guides([july, older])).toEqual({ N: 2.3, K: 1.5, takenOn: '2026-07-16', part: 'spur leaves' });
		expect(guides([july], 2026)).toMatchObject({ N: 2.3 });
		expect(guides([july], 2028)).toBeUndefined();
		expect(guides([july], 2025)).toBeUndefined();
	});
	it.each<[string, Partial<LeafLogEntry>]>([
		['a bad spot', { spot: 'bad' }],
		['another part', { part: 'hulls' }],
		['another month', { stage: 'May' }],
		['another crop', { crop: 'apple' }]
	])('is not one of %s', (_, change) => {
		expect(guides([{ ...july, ...change }])).toBeUndefined();
	});
	it('annual crops have none', () => {
		const corn = { ...july, crop: 'corn-grain', part: 'ear leaf', stage: 'R1' };
		expect(guides([corn], 2027, 'corn-grain')).toBeUndefined();
	});
});
