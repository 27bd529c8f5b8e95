import { describe, expect, it } from 'vitest';
import type { Pass } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { T_HA_PER_SHORT_TON_AC, KG_HA_PER_LB_AC } from '../../../units/factors';
import { nutrientBalance, type YearRecord } from './nutrient-balance';

const palm = library.crops.find(({ id }) => id === 'oil-palm')!;
const tonnes = (perHectare: number) => perHectare / T_HA_PER_SHORT_TON_AC;
const pass = (product: string, kgHa: number): Pass => ({
	id: product,
	date: '2026-05-01',
	label: product,
	product,
	rate: kgHa / KG_HA_PER_LB_AC,
	unit: 'lb/ac',
	placement: 'broadcast',
	reason: ''
});
const record = (year: number, change: Partial<YearRecord> = {}): YearRecord => ({
	year,
	crop: palm,
	harvested: tonnes(25),
	strawShare: 0,
	passes: [],
	...change
});
const balance = (records: YearRecord[]) => nutrientBalance(records, library.packs, library.products);
const kgHa = (answer: { applies: boolean; value?: number }) =>
	answer.applies ? answer.value! * KG_HA_PER_LB_AC : undefined;

describe('the nutrient balance of a block over years', () => {
	// 25 t/ha of bunches take 72.5 kg N, 11 kg P, 92.5 kg K and 19.25 kg Mg: von Uexkull and Fairhurst 1991, from memory.
	it('counts bunches out against what was applied', () => {
		const [year] = balance([record(2026, { passes: [pass('ammonium-sulfate', 400), pass('potash', 200)] })]);
		expect(kgHa(year!.nutrients.N.ofYear)).toBeCloseTo(84 - 72.5, 1);
		expect(kgHa(year!.nutrients.P2O5.ofYear)).toBeCloseTo(-11 * 2.2914, 1);
		expect(kgHa(year!.nutrients.K2O.ofYear)).toBeCloseTo(0.6 * 200 - 92.5 * 1.2046, 0);
		expect(kgHa(year!.nutrients.Mg.ofYear)).toBeCloseTo(-19.25, 1);
	});

	it('adds up over the years, and leaves out the year whose harvest is not known', () => {
		const years = balance([record(2026), record(2024), record(2025, { harvested: undefined })]);
		expect(years.map(({ year }) => year)).toEqual([2024, 2025, 2026]);
		expect(years[1]!.nutrients.N.ofYear).toMatchObject({
			applies: false,
			reason: 'the harvest of 2025 is not in the book'
		});
		expect(kgHa(years[1]!.nutrients.N.together)).toBeCloseTo(-72.5, 1);
		expect(kgHa(years[2]!.nutrients.N.together)).toBeCloseTo(-145, 1);
	});

	it('does not apply where no guide knows the removal, and counts straw that leaves', () => {
		const wheat = library.crops.find(({ id }) => id === 'winter-wheat')!;
		const [kept, taken] = [0, 1].map(
			(strawShare) => balance([record(2026, { crop: wheat, harvested: 70, strawShare })])[0]!
		);
		expect(kept!.nutrients.Mg.ofYear).toMatchObject({ applies: false });
		expect(kgHa(taken!.nutrients.K2O.ofYear)!).toBeLessThan(kgHa(kept!.nutrients.K2O.ofYear)! - 20);
	});

	it('takes off both harvests where a second crop follows the first', () => {
		const [wheat, soybean] = ['winter-wheat', 'soybean'].map((id) => library.crops.find((crop) => crop.id === id)!);
		const both = (harvested: number | undefined) =>
			balance([record(2026, { crop: wheat!, harvested: 84, second: { crop: soybean!, harvested } })])[0]!;
		// IPNI tables, from memory: wheat 0.48 and soybean 0.73 lb P2O5 a bushel.
		const phosphate = both(26).nutrients.P2O5.ofYear;
		expect(phosphate.applies && phosphate.value).toBeCloseTo(-(84 * 0.48 + 26 * 0.73), 9);
		expect(both(26).crop).toBe('Winter wheat, then soybean');
		expect(both(undefined).nutrients.P2O5.ofYear).toMatchObject({
			applies: false,
			label: 'P2O5 of 2026',
			reason: 'the soybean harvest of 2026 is not in the book'
		});
		expect(both(26).nutrients.N.ofYear).toMatchObject({
			applies: false,
			reason: 'no guide says how much N soybean takes off'
		});
	});
});
