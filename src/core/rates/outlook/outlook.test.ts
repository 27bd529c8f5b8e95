import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AdviseRequest } from '../../schema-types';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { advise } from '../advise';

const answer = (change: Partial<AdviseRequest>, base = cornRequest()) =>
	advise({ ...base, ...change }, library, '2026-11-20');
const outlook = (method: string, change: Partial<AdviseRequest> = {}, base = cornRequest()) =>
	answer({ outlookYears: 6, ...change }, base).outlooks!.find((one) => one.method === method)!;

describe('six years on', () => {
	it('build and maintain: P rises by the build-up over 20 lb for each ppm (E-2567, four years of 5 lb; memory)', () => {
		const { years, end } = outlook('tri-state-1995/phosphorus');
		expect(years).toHaveLength(6);
		expect(years[0]).toMatchObject({ soilTest: 10, rate: 84.2, removal: 56 });
		// (84.2 - 56) / 20: the guide removes 0.37, the tables 0.35 lb/bu
		expect(years[1]?.soilTest).toBeCloseTo(11.41, 9);
		expect(end).toBeGreaterThan(14);
	});

	it('opens into worksheets: what went on is the sum of the years, and the end stands on every one of them', () => {
		const { years, end, applied, endWorksheet } = outlook('tri-state-1995/phosphorus');
		const sum = years.reduce((total, { rate }) => total + rate, 0);
		expect(applied).toMatchObject({ applies: true, value: sum, unit: 'lb/ac' });
		expect(applied?.applies && applied.inputs.map(({ label }) => label)[0]).toBe('year 1, corn grain: put on');
		expect(endWorksheet).toMatchObject({ applies: true, value: end, unit: 'ppm' });
		// The soil test, the pounds for each ppm, six rates, six removals and the five tests between.
		expect(endWorksheet?.applies && endWorksheet.inputs).toHaveLength(19);
	});

	it('replace removal keeps the test where it is', () => {
		const { years, end } = outlook('crop-removal/phosphorus');
		expect(years.every(({ soilTest }) => Math.abs(soilTest - 10) < 1e-9)).toBe(true);
		expect(end).toBeCloseTo(10, 9);
	});

	it('K moves by 4 x (1 + 0.05 CEC): 7.2 lb for each ppm at CEC 16', () => {
		const { years, lbPerPpm } = outlook('northern-plains/potassium');
		expect(lbPerPpm).toMatchObject({ value: 7.2 });
		expect(years[1]!.soilTest).toBeCloseTo(120 + (46.4 - 40) / 7.2, 9);
	});

	it('takes two crops in turn', () => {
		const { years } = outlook('tri-state-1995/phosphorus', { nextCrop: { id: 'soybean', yieldGoal: 50 } });
		expect(years.map(({ crop }) => crop).slice(0, 3)).toEqual(['corn-grain', 'soybean', 'corn-grain']);
		expect(years[1]?.removal).toBeCloseTo(36.5, 9);
	});

	it('does not guess for a method without pounds for each ppm', () => {
		const olsen = cornRequestWith({ P: { method: 'olsen', value: 8, unit: 'ppm' } });
		const one = outlook('northern-plains/phosphorus-olsen', {}, olsen);
		expect(one).toMatchObject({ applies: false, years: [] });
		expect(one.reason).toContain('how many lb/ac move its soil test');
	});

	it('says why where a guide is silent on the next crop, or the test was not made', () => {
		const silent = outlook('tri-state-1995/phosphorus', { nextCrop: { id: 'canola', yieldGoal: 2000 } });
		expect(silent.reason).toContain('has no rate for canola');
		const bare = outlook('tri-state-1995/phosphorus', {}, cornRequestWith({ P: undefined }));
		expect(bare.reason).toContain('the report gives no phosphorus');
	});

	it('never falls below zero, whatever the start and the goal', () => {
		const starts = fc.record({
			P: fc.double({ min: 0, max: 80, noNaN: true }),
			yieldGoal: fc.integer({ min: 20, max: 300 })
		});
		fc.assert(
			fc.property(starts, ({ P, yieldGoal }) => {
				const base = cornRequestWith({ P: { method: 'bray-p1', value: P, unit: 'ppm' } });
				const request = { ...base, crop: { ...base.crop, yieldGoal } };
				for (const one of answer({ outlookYears: 6 }, request).outlooks!) {
					for (const { soilTest, rate } of one.years) {
						expect(soilTest).toBeGreaterThanOrEqual(0);
						expect(rate).toBeGreaterThanOrEqual(0);
					}
				}
			}),
			{ numRuns: 40 }
		);
	});
});

describe('both years in one pass', () => {
	const next = { nextCrop: { id: 'soybean' as const, yieldGoal: 50 } };
	const both = (method: string, base = cornRequest()) =>
		answer(next, base).rates.find((one) => one.method === method)!.bothYears;

	it('adds the two rates of this year’s test and shows what is carried over', () => {
		const sum = both('tri-state-1995/phosphorus')!;
		// (15 - 10) x 5 + 160 x 0.37, and (15 - 10) x 5 + 50 x 0.80
		expect(sum).toMatchObject({ applies: true, value: 84.2 + 65 });
		expect(sum.applies && sum.inputs.map(({ label }) => label)[1]).toContain('carried over');
	});
	it('keeps the guide’s limit for the one application', () => {
		const low = cornRequestWith({ K: { method: 'ammonium-acetate', value: 60, unit: 'ppm' } });
		const sum = both('tri-state-1995/potassium', low)!;
		expect(sum).toMatchObject({ value: 300 });
		expect(sum.applies && sum.cautions.join()).toContain('300 lb holds for one application');
	});
	it('is not offered for a deficit of the exchange, and not without a next crop', () => {
		const balanced = cornRequestWith({ K: { method: 'ammonium-acetate', value: 60, unit: 'ppm' } });
		expect(both('cation-balance/bear-1945-k2o', balanced)).toBeUndefined();
		expect(answer({}).rates.every(({ bothYears }) => bothYears === undefined)).toBe(true);
	});
	it('names the next crop that it does not know', () => {
		expect(() => answer({ nextCrop: { id: 'quinoa' as never, yieldGoal: 1 } })).toThrow('/nextCrop/id');
	});
});
