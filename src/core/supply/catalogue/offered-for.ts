import type { CropId, Pass, Product } from '../../schema-types';

/** Whether a product is offered for a crop: residues of a mill are for its own palms only. */
export function offeredFor({ crops }: Pick<Product, 'crops'>, crop: CropId | undefined): boolean {
	return crops === undefined || (crop !== undefined && crops.includes(crop));
}

/** The products offered for a crop, with those that its passes hold all the same: a plan may be older than its crop. */
export function catalogueFor<P extends Pick<Product, 'id' | 'crops'>>(
	products: readonly P[],
	crop: CropId | undefined,
	passes: readonly Pick<Pass, 'product'>[]
): P[] {
	const used = new Set(passes.map(({ product }) => product));
	return products.filter((product) => used.has(product.id) || offeredFor(product, crop));
}
