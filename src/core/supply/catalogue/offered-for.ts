import type { CropId, Product } from '../../schema-types';

/** Whether a product is offered for a crop: residues of a mill are for its own palms only. */
export function offeredFor({ crops }: Pick<Product, 'crops'>, crop: CropId | undefined): boolean {
	return crops === undefined || (crop !== undefined && crops.includes(crop));
}
