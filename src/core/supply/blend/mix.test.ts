import { describe, expect, it } from 'vitest';
import { passOf as pass } from '../../season/plan/pass.test-help';
import type { Product } from '../../schema-types';
import { demandOf, mixPasses, mixRequest, shelfOf } from './mix';

const product = (id: string, more: Partial<Product> = {}): Product => ({
	id,
	name: id,
	state: 'dry',
	analysis: { N: 46 },
	placements: ['broadcast'],
	hazards: [],
	basis: 'practice',
	...more
});
const urea = product('urea');
const potash = product('potash', { analysis: { K2O: 60 }, chloridePercent: 47, saltIndex: 116 });
const prices = new Map([
	['urea', 500],
	['potash', 400],
	['solution', 300],
	['lime', 40]
]);

describe('a mix in the place of passes', () => {
	it('is made of dry products with a price, not of lime, manure or liquids', () => {
		const all = [
			urea,
			product('unpriced'),
			product('solution', { state: 'liquid' }),
			product('lime', { lime: { neutralizingValuePercent: 90 } })
		];
		expect(shelfOf(all, prices).map(({ id }) => id)).toEqual(['urea']);
	});

	it('must carry what they carry together', () => {
		const passes = [pass('a', {}), pass('b', { rate: 50 }), pass('c', { product: 'potash', rate: 100 })];
		const demand = demandOf(passes, [urea, potash]);
		expect(demand.N).toBeCloseTo(69, 9);
		expect(demand.K2O).toBeCloseTo(60, 9);
	});

	it('is asked for by the pound, with limits only where they are set', () => {
		const free = {
			tolerancePercent: undefined,
			maxProducts: undefined,
			minimumUse: undefined,
			chloride: undefined,
			salt: undefined
		};
		const open = mixRequest([urea, potash], prices, { N: 69 }, free);
		expect(open.products.map(({ pricePerLb }) => pricePerLb)).toEqual([0.25, 0.2]);
		expect(Object.keys(open).sort()).toEqual(['demand', 'products']);
		const bound = mixRequest(
			[urea, potash],
			prices,
			{ N: 69 },
			{ ...free, tolerancePercent: 5, maxProducts: 2, salt: 90 }
		);
		expect(bound).toMatchObject({ tolerance: 0.05, maxProducts: 2, ceilings: { salt: 90 } });
		expect(bound.ceilings).not.toHaveProperty('chloride');
	});

	it('goes on in one trip on the first of their days', () => {
		const replaced = [pass('late', { date: '2027-05-02', placement: 'deep strip band' }), pass('early', {})];
		const two = mixPasses(
			[
				{ id: 'urea', rate: 99.99951 },
				{ id: 'potash', rate: 80 }
			],
			replaced,
			'cheaper'
		);
		expect(two.map(({ date, placement, rate, label, trip }) => [date, placement, rate, label, trip])).toEqual([
			['2027-04-20', 'broadcast', 100, 'Mix, part 1', 'mix-2027-04-20'],
			['2027-04-20', 'broadcast', 80, 'Mix, part 2', 'mix-2027-04-20']
		]);
		expect(mixPasses([{ id: 'urea', rate: 1 }], replaced, '')[0]).not.toHaveProperty('trip');
		expect(mixPasses([{ id: 'urea', rate: 1 }], [], '')).toEqual([]);
	});
});
