import { entriesOf } from '../../../../core/check/typed-object';
import type { Hazard } from '../../../../core/schema-types';
import type { Desk } from '../../desk';

/** The catalogue, and what the forms of products and manures offer. */
export function productsPage({ library }: Desk) {
	const { products, manures, additives, cautions } = library;
	const hazards = entriesOf<Hazard, string>(cautions.cautions);
	return {
		title: 'Products',
		products,
		additives,
		placements: [...new Set(products.flatMap(({ placements }) => placements))],
		hazards: hazards.map(([id, text]) => ({ id, text })),
		kinds: manures.kinds,
		handling: manures.handling
	};
}
