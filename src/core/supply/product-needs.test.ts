import { describe, expect, it } from 'vitest';
import type { Pass } from '../schema-types';
import { library } from '../testing.test-help';
import { pricePerPound, productNeeds } from './product-needs';

const { products } = library;
const product = (id: string) => products.find((one) => one.id === id)!;
const pass = (id: string, change: Partial<Pass>): Pass => ({
	id,
	date: '2027-05-01',
	label: id,
	product: 'uan-28',
	rate: 100,
	unit: 'lb/ac',
	placement: 'injected',
	reason: '',
	...change
});

describe('what a plan needs', () => {
	const passes = [
		pass('starter', { rate: 140 }),
		pass('lime', { product: 'aglime', rate: 2, unit: 'short ton/ac' }),
		pass('side-dress', { rate: 360 })
	];

	it('is summed over the passes of a product, in pounds, gallons and tons', () => {
		const [uan, lime] = productNeeds(passes, products, 40);
		expect(uan?.perAcre).toMatchObject({ value: 500, unit: 'lb/ac' });
		expect(uan?.perAcre.inputs).toHaveLength(2);
		expect(uan?.gallons.applies && uan.gallons.value).toBeCloseTo(46.86, 2);
		expect(uan?.order).toMatchObject({ value: 10, unit: 'short tons' });
		expect(lime?.perAcre.value).toBe(4000);
		expect(lime?.order).toMatchObject({ value: 80 });
	});

	it('is not ordered for a field without an area', () => {
		expect(productNeeds(passes, products, undefined)[0]?.order).toMatchObject({
			applies: false,
			remedy: 'Give the area under Ground.'
		});
		expect(productNeeds([], products, 40)).toEqual([]);
	});
});

it('a pound of nutrient costs price / 2000 / fraction, where the product has one nutrient', () => {
	expect(pricePerPound(product('urea'), 460)?.value).toBeCloseTo(0.5, 9);
	expect(pricePerPound(product('urea'), 460)?.unit).toBe('$/lb N');
	expect(pricePerPound(product('map'), 760)).toBeUndefined();
	expect(pricePerPound(product('aglime'), 32)).toBeUndefined();
	expect(pricePerPound(product('urea'), undefined)).toBeUndefined();
});
