import { currentLibrary } from '$lib/server/current-library';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => {
	const { products, manures } = currentLibrary();
	return { title: 'Products', products, kinds: manures.kinds, handling: manures.handling };
};
