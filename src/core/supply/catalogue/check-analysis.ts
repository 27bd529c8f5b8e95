import { InputError } from '../../check/problem';
import type { Product } from '../../schema-types';
import { plainNumber } from '../../units/display';

/**
 * The same product, where its nutrients together are no more than the product weighs (percent by weight, P2O5 and K2O as guaranteed).
 * @throws InputError naming the sum; pounds that are not in the bag would be credited
 */
export function checkAnalysis(product: Product, path = ''): Product {
	const parts = Object.entries(product.analysis);
	const percent = parts.reduce((sum, [, part]) => sum + part, 0);
	if (percent <= 100) return product;
	const named = parts.map(([nutrient, part]) => `${plainNumber(part, '')} ${nutrient}`).join(' + ');
	const message = `${named} come to ${plainNumber(percent, '')} % by weight; nutrients together cannot be over 100 %`;
	throw new InputError([{ path: `${path}/analysis`, message }]);
}
