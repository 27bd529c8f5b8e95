// The numbers of a year against the worksheets of the same year, and against a sum by hand.
import { describe, expect, it } from 'vitest';
import type { Pass } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { bookYear, meanByAcres, nitrogenBand, removalsOf, type BookedYear } from './book-year';
import { BALANCED, nutrientBalance } from './nutrient-balance';

const corn = library.crops.find(({ id }) => id === 'corn-grain')!;
const pass = (product: string, rate: number, unit: Pass['unit'] = 'lb/ac'): Pass => ({
	id: product,
	date: '2026-05-01',
	label: product,
	product,
	rate,
	unit,
	placement: 'broadcast',
	reason: ''
});
const passes = [pass('urea', 300), pass('map', 100), pass('aglime', 2, 'short ton/ac')];
const year: BookedYear = {
	crop: corn,
	goal: 180,
	harvested: 200,
	strawShare: 0,
	planned: [...passes, pass('potash', 100)],
	applied: passes,
	irrigation: undefined,
	second: undefined
};
const prices: Record<string, number> = { 'product:urea': 500, 'product:map': 700, 'product:aglime': 30 };
const numbers = (change: Partial<BookedYear> = {}, list = prices) =>
	bookYear({ ...year, ...change }, removalsOf(library.packs), library.products, (item) => list[item]);

describe('the numbers of a year', () => {
	it('have both harvests of a year with a second crop, and no cost a bushel of two crops', () => {
		const second = { crop: library.crops.find(({ id }) => id === 'sunflower')!, harvested: 1500 };
		// IPNI tables, from memory: 0.0097 lb P2O5 in a lb of sunflower.
		const { balance, costPerYield, cost } = numbers({ second });
		expect(balance.P2O5).toBeCloseTo(52 - 70 - 14.55, 9);
		expect([cost === undefined, costPerYield]).toEqual([false, undefined]);
		expect(numbers({ second: { ...second, harvested: undefined } }).balance).toEqual({});
	});
	it('are a sum by hand', () => {
		// 300 lb urea (46 %) and 100 lb MAP (11-52-0); 200 bu take 0.67 N, 0.35 P2O5, 0.25 K2O, 0.08 S lb/bu: trade analyses, IPNI tables from memory.
		const { balance, applied, planned, cost, costPerYield, lime } = numbers();
		expect(applied.N).toBeCloseTo(138 + 11, 9);
		expect(balance.N).toBeCloseTo(149 - 134, 9);
		expect(balance.P2O5).toBeCloseTo(52 - 70, 9);
		expect(balance.S).toBeCloseTo(-16, 9);
		expect(planned.K2O).toBeCloseTo(60, 9);
		expect(applied.K2O).toBe(0);
		// 0.15 tons at $500, 0.05 at $700, 2 at $30.
		expect(cost).toBeCloseTo(75 + 35 + 60, 9);
		expect(costPerYield).toBeCloseTo(170 / 200, 9);
		expect(lime).toBe(2);
	});
	it('are those of the worksheets', () => {
		const [sheet] = nutrientBalance(
			[{ year: 2026, crop: corn, harvested: 200, strawShare: 0.5, passes }],
			library.packs,
			library.products
		);
		const { balance } = numbers({ strawShare: 0.5 });
		for (const nutrient of BALANCED) {
			const worksheet = sheet!.nutrients[nutrient].ofYear;
			expect(balance[nutrient]).toEqual(worksheet.applies ? worksheet.value : undefined);
		}
	});
	it('leave out what cannot be said', () => {
		const growing = numbers({ harvested: undefined });
		expect(growing).not.toHaveProperty('costPerYield');
		expect(growing.balance).toEqual({});
		expect(numbers({}, { 'product:urea': 500 })).not.toHaveProperty('cost');
		expect(numbers({ applied: [] })).toMatchObject({ cost: 0, acidity: 0, lime: 0 });
		// A legume has fixed most of what it takes off.
		const soybean = library.crops.find(({ id }) => id === 'soybean')!;
		expect(numbers({ crop: soybean }).balance).not.toHaveProperty('N');
	});
	it('count the lime that offsets the acid of what went on', () => {
		// 138 lb N of urea at 1.8 lb CaCO3 (Pierre 1933, from memory), less what the lime itself is not counted for.
		expect(numbers({ applied: [pass('urea', 300)] }).acidity).toBeCloseTo(138 * 1.8, 6);
	});
});

it('a nitrogen balance of 100 lb and more is high, below nothing short', () => {
	expect([-1, 0, 99.9, 100, undefined].map(nitrogenBand)).toEqual(['short', 'near', 'near', 'high', undefined]);
});

it('means go by acres, over the fields that have the number', () => {
	const parts = [
		{ acres: 30, value: 10 },
		{ acres: 10, value: 50 },
		{ acres: 500, value: undefined }
	];
	const mean = (some: typeof parts) =>
		meanByAcres(
			some,
			({ acres }) => acres,
			({ value }) => value
		);
	expect(mean(parts)).toBe(20);
	expect(mean(parts.slice(2))).toBeUndefined();
});
