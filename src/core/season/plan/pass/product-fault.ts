import type { Pass, Product } from '../../../schema-types';

/**
 * What is wrong with the product of a pass: it is not in the catalogue, or it cannot be measured in gallons.
 * @returns the key of the pass with what would be right; undefined where nothing is
 */
export function productFault(
	{ product, unit }: Pick<Pass, 'product' | 'unit'>,
	products: readonly Product[]
): { key: 'product' | 'unit'; message: string } | undefined {
	const card = products.find(({ id }) => id === product);
	if (!card) return { key: 'product', message: `"${product}" is not in the catalogue` };
	if (unit !== 'gal/ac' || card.densityLbPerGal !== undefined) return undefined;
	return { key: 'unit', message: `${card.name} has no density; give its rate in lb/ac` };
}
