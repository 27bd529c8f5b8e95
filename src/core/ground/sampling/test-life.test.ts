import { describe, expect, it } from 'vitest';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { advise } from '../../rates/advise';
import { servesYears, spentBecause } from './test-life';

// How long a test serves is common practice: nitrate one crop, sulfate one year, Zn and B three years, P, K and pH four.
describe('a test serves', () => {
	it('so long', () => {
		expect((['NO3-N', 'NH4-N', 'SO4-S', 'Zn', 'B', 'P', 'K', 'pH', 'CEC'] as const).map(servesYears)).toEqual([
			0, 0, 1, 3, 3, 4, 4, 4, 4
		]);
	});
	it.each([
		['2026-11-06', 2027, true],
		['2026-07-01', 2027, true],
		['2027-05-10', 2027, true],
		// Another crop stands between.
		['2026-06-30', 2027, false],
		['2026-11-06', 2028, false],
		['2027-05-10', 2028, false],
		// After the crop it is asked for.
		['2027-10-01', 2027, false]
	])('nitrate of %s for the crop of %i: %s', (sampledOn, year, serves) => {
		expect(spentBecause('NO3-N', sampledOn, year, '2027-11-01') === undefined).toBe(serves);
		expect(spentBecause('NH4-N', sampledOn, year, '2027-11-01') === undefined).toBe(serves);
		expect(spentBecause('P', sampledOn, year, '2027-11-01')).toBeUndefined();
	});
	it('sulfate for a year before the spring of its crop', () => {
		expect(spentBecause('SO4-S', '2026-04-01', 2027, '2027-04-01')).toBeUndefined();
		expect(spentBecause('SO4-S', '2026-03-31', 2027, '2027-04-01')).toBeDefined();
	});
	it('nitrate for a year, where the year of the crop is not told', () => {
		expect(spentBecause('NO3-N', '2026-04-01', undefined, '2027-04-01')).toBeUndefined();
		expect(spentBecause('NO3-N', '2026-03-31', undefined, '2027-04-01')).toBeDefined();
	});
});

describe('180 lb of nitrate found in November 2026', () => {
	const nitrate = (top: number, bottom: number, value: number) => ({
		top,
		bottom,
		depthUnit: 'in' as const,
		results: [{ analyte: 'NO3-N' as const, value, unit: 'ppm' as const }]
	});
	const request = (year: number) => {
		const { sample, crop, field, units } = cornRequest();
		const layers = [nitrate(0, 6, 38.9), nitrate(6, 24, 20.4), ...sample.layers];
		return {
			field,
			units,
			sample: { date: '2026-11-06', layers },
			crop: { ...crop, yieldGoal: 190, previousCrop: 'corn-grain' as const, year },
			prices: { grain: 4, nitrogen: 0.5 }
		};
	};
	const answer = (year: number) => advise(request(year), library, '2026-12-01');
	const rateOf = (year: number, method: string) => answer(year).rates.find((rate) => rate.method === method)!;

	it('counts for corn of 2027', () => {
		// 1.2 lb for each of 190 bu, less 70 + 110 lb: northern plains guides, from memory.
		expect(rateOf(2027, 'northern-plains/nitrogen').rate).toBeCloseTo(228 - 180, 0);
	});
	it.each(['northern-plains/nitrogen', 'western-corn-nitrogen/nitrogen'])(
		'gives corn of 2028 no rate by %s',
		(method) => {
			const { worksheet } = rateOf(2028, method);
			expect(worksheet).toMatchObject({ applies: false, remedy: 'Take a new test.' });
			expect(worksheet.applies ? '' : worksheet.reason).toContain('served the 2027 crop');
		}
	);
	it('fills the room in the soil for the crop of 2027 alone, and is named as left out in 2028', () => {
		const { holdingLimit, holdingRoom } = answer(2027).derived;
		expect(holdingRoom).toBeCloseTo(Math.max(0, holdingLimit! - 180), -1);
		expect(answer(2028).derived.holdingRoom).toBeNull();
		expect(answer(2028).findings.map(({ code }) => code)).toContain('spent-NO3-N');
	});
	it('is a caution in June, and in spring none', () => {
		const inJune = (date: string) =>
			advise({ ...request(2027), sample: { ...request(2027).sample, date } }, library, '2027-06-10').findings.find(
				({ code }) => code === 'old-nitrate'
			)?.severity;
		expect(inJune('2026-11-06')).toBe('mind');
		expect(inJune('2027-04-20')).toBe('note');
		expect(inJune('2027-05-20')).toBeUndefined();
	});
});

it('zinc is old after three years, phosphorus and the rest after four', () => {
	const request = cornRequestWith({ Zn: { value: 1, unit: 'ppm', method: 'dtpa' } });
	const aged = (asOf: string) =>
		advise({ ...request, asOf, sample: { ...request.sample, date: '2022-10-10' } }, library, asOf).findings.find(
			({ code }) => code === 'old-sample'
		)?.text;
	expect(aged('2025-10-10')).toBeUndefined();
	expect(aged('2025-11-10')).toMatch(/^Zn .*over 3 years/);
	expect(aged('2026-11-10')).toMatch(/^The sample .*over 4 years/);
});
