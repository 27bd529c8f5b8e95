// Leaf levels of palms: von Uexkull and Fairhurst 1991, phosphorus by nitrogen Ollagnier and Ochs; ranges of orchards by the
// publications that stand in the data. All written from memory.
import { describe, expect, it } from 'vitest';
import type { AdviseRequest, LeafTest } from '../../schema-types';
import { library } from '../../testing.test-help';
import { advise } from '../../rates/advise';
import { leafRangeOf, leafRangesFor } from './leaf-range';

const palms = (age: number) =>
	leafRangesFor(
		{
			crop: library.crops.find(({ id }) => id === 'oil-palm')!,
			block: { plantedYear: 2028 - age },
			cropYear: 2027
		},
		library.leafRanges
	)!;

describe('critical leaf levels of palms', () => {
	it.each([
		[2, 'frond 9', 2.5, 1.0],
		[5, 'frond 17', 2.5, 1.0],
		[6, 'frond 17', 2.5, 1.0],
		[7, 'frond 17', 2.3, 0.75],
		[19, 'frond 17', 2.3, 0.75]
	])('in year %i: %s, N %f, K %f', (age, part, n, k) => {
		expect(palms(age)).toMatchObject({ part, ranges: { N: { low: n }, K: { low: k }, Mg: { low: 0.2 } } });
	});
	it.each([
		[2.3, 0.151],
		[2.5, 0.161]
	])('phosphorus goes by nitrogen: N %f, P %f', (N, P) => {
		expect(leafRangeOf(palms(19), 'P', { N })!.low).toBeCloseTo(P, 3);
	});
	it('without nitrogen the level of the age stands: 0.15, over six years 0.14', () => {
		expect(leafRangeOf(palms(5), 'P', {})!.low).toBe(0.15);
		expect(leafRangeOf(palms(19), 'P', {})!.low).toBe(0.14);
	});
});

describe('a leaf test in the findings', () => {
	const found = (id: string, leaf: LeafTest, block: AdviseRequest['crop']['block'] = { plantedYear: 2009 }) =>
		advise(
			{
				units: 'us',
				field: {},
				sample: {
					date: '2026-10-01',
					layers: [
						{ top: 0, bottom: 8, depthUnit: 'in', results: [{ analyte: 'pH', value: 5, unit: 'pH', method: 'water' }] }
					]
				},
				crop: { id, yieldGoal: 10, year: 2027, block, blockYear: { leaf } }
			},
			library,
			'2026-11-29'
		)
			.findings.filter(({ code }) => code.startsWith('leaf'))
			.map(({ code, text }) => `${code}: ${text}`);

	it('is read against its crop and age', () => {
		const test = { N: 2.3, P: 0.15, K: 0.76, Mg: 0.21, part: 'Frond 17', takenOn: '2026-05-21' };
		expect(found('oil-palm', test)).toEqual([
			'leaf-low: Leaf P of 21 May 2026 is 0.15 %, below 0.151 % for frond 17, over six years.'
		]);
		expect(found('oil-palm', { ...test, P: 0.152 })).toEqual([]);
		expect(found('oil-palm', { ...test, P: 0.152 }, { plantedYear: 2022 }).map((text) => text.slice(0, 16))).toEqual([
			'leaf-low: Leaf N',
			'leaf-low: Leaf K'
		]);
	});
	it('of another part is not read, and says which part it wants', () => {
		expect(found('oil-palm', { N: 1.9, part: 'frond 9' })).toEqual([
			'leaf-other-part: The leaf test is of “frond 9”; the ranges of oil palm are for frond 17, over six years. It is not read against them.'
		]);
	});
	it('says what is above, in ppm for boron', () => {
		expect(found('hazelnut', { N: 2.51, B: 30 })).toEqual([
			'leaf-low: Leaf B is 30 ppm, below 31 ppm for mid-shoot leaves, August.',
			'leaf-high: Leaf N is 2.51 %, above 2.5 % for mid-shoot leaves, August.'
		]);
	});
	it('of palms whose age is not known is not read', () => {
		expect(found('oil-palm', { N: 1 }, { plantedYear: 2030 })).toEqual([]);
	});
});
