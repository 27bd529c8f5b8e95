import { describe, expect, it } from 'vitest';
import type { Pass } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { productOf } from '../plan-context';
import { costParts } from './cost-parts';

const pass = (product: string, rate: number, of: Partial<Pass> = {}): Pass => ({
	id: product,
	date: '2027-05-01',
	label: product,
	product,
	rate,
	unit: 'lb/ac',
	placement: 'broadcast',
	reason: '',
	...of
});
const PRICES: Record<string, number> = {
	'product:map': 800,
	'product:urea': 500,
	'nutrient:N': 0.5,
	'nutrient:P2O5': 0.6,
	'trip:spread': 8,
	'additive:urease inhibitor': 4
};
const partsOf = (passes: readonly Pass[], prices = PRICES) =>
	costParts(
		passes,
		(one) => productOf(one, library.products),
		(item) => prices[item]
	);
const byNutrient = (passes: readonly Pass[], prices = PRICES) =>
	Object.fromEntries(partsOf(passes, prices).nutrients.map(({ nutrient, cost }) => [nutrient, cost.value]));

describe('the cost of a plan', () => {
	it('shares a product among its nutrients by what each is worth, and adds up to the products', () => {
		// 100 lb of MAP 11-52 at $800 a ton are $40: 11 lb at 0.50 are worth 5.50, 52 lb at 0.60 are worth 31.20.
		const costs = byNutrient([pass('map', 100)]);
		expect(costs.N).toBeCloseTo((40 * 5.5) / 36.7, 9);
		expect(costs.P2O5).toBeCloseTo((40 * 31.2) / 36.7, 9);
		const both = partsOf([pass('map', 100), pass('urea', 200, { additive: 'urease inhibitor' })]);
		const sum = both.nutrients.reduce((all, { cost }) => all + cost.value, 0);
		expect(both.products).toMatchObject({ value: 94 });
		expect(sum).toBeCloseTo(94, 9);
		// Two products on one day are two trips where nothing says that they go together.
		expect(both.total).toMatchObject({ value: 94 + both.trips.value });
		expect(both.trips.value).toBeGreaterThan(0);
	});
	it('goes to the main nutrient where none has a price, and lime is its own line', () => {
		const none = Object.fromEntries(Object.entries(PRICES).filter(([item]) => !item.startsWith('nutrient:')));
		expect(byNutrient([pass('map', 100)], none)).toEqual({ P2O5: 40 });
		const lime = library.products.find(({ lime: of }) => of)!;
		const prices = { ...PRICES, [`product:${lime.id}`]: 40 };
		expect(byNutrient([pass(lime.id, 2, { unit: 'short ton/ac' })], prices)).toEqual({ lime: 80 });
	});
	it('does not apply while a product has no price, and says which', () => {
		const { products, total } = partsOf([pass('potash', 100)]);
		expect(products).toMatchObject({ applies: false, reason: expect.stringContaining('no price') as string });
		expect(total.applies).toBe(false);
	});
});
