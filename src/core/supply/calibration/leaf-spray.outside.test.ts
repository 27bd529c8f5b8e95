// A worked value of the trade: 20 gal of 2 % potassium nitrate are 3.34 lb of product, 1.54 lb K2O, 2.6 % of a demand of 60 lb.
import { expect, it } from 'vitest';
import { leafSpray } from './leaf-spray';

it('20 gal of 2 % potassium nitrate carry 2.6 % of 60 lb K2O, at $1.30 a pound', () => {
	const { product, delivered, share, cost } = leafSpray(20, 2, 46, 60, 1200);
	expect(product.value).toBeCloseTo(3.34, 2);
	expect(delivered.value).toBeCloseTo(1.54, 2);
	expect(share.value).toBeCloseTo(2.6, 1);
	expect(cost.value).toBeCloseTo(1.3, 2);
});
it('delivers with the strength and the gallons, and costs by the analysis alone', () => {
	const [one, two] = [leafSpray(10, 1, 46, 50, 600), leafSpray(20, 2, 46, 50, 600)];
	expect(two.delivered.value / one.delivered.value).toBeCloseTo(4, 9);
	expect(two.cost.value).toBe(one.cost.value);
	expect(leafSpray(10, 1, 23, 50, 600).cost.value).toBeCloseTo(2 * one.cost.value, 9);
});
