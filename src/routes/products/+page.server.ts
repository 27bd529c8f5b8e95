import type { Hazard } from '$core/schema-types';
import { currentLibrary } from '$lib/server/current-library';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => {
	const { products, manures, additives, cautions } = currentLibrary();
	const hazards = Object.entries(cautions.cautions) as [Hazard, string][];
	return {
		title: 'Products',
		products,
		additives,
		placements: [...new Set(products.flatMap(({ placements }) => placements))],
		hazards: hazards.map(([id, text]) => ({ id, text })),
		kinds: manures.kinds,
		handling: manures.handling
	};
};
