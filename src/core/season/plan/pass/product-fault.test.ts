import { expect, it } from 'vitest';
import { library } from '../../../testing.test-help';
import { productFault } from './product-fault';

const fault = (product: string, unit: 'lb/ac' | 'gal/ac') => productFault({ product, unit }, library.products);

it('a product of the catalogue in a unit that it has is sound', () => {
	expect(fault('urea', 'lb/ac')).toBeUndefined();
	expect(fault('uan-28', 'gal/ac')).toBeUndefined();
});
it('what is not in the catalogue, and gallons of what has no density, are said with what would be right', () => {
	expect(fault('gold', 'lb/ac')).toEqual({ key: 'product', message: '"gold" is not in the catalogue' });
	expect(fault('urea', 'gal/ac')).toMatchObject({
		key: 'unit',
		message: expect.stringMatching(/has no density; give its rate in lb\/ac/) as string
	});
});
