import type { SheetContent } from '../schema-types';

/** What a rate of a sheet is called: "Lime", "N", "N for sunflower". */
export function rateName({ nutrient, secondCrop }: SheetContent['rates'][number]): string {
	const name = nutrient === 'lime' ? 'Lime' : nutrient;
	return secondCrop === undefined ? name : `${name} for ${secondCrop.toLowerCase()}`;
}
