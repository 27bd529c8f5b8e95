import { deskOf } from '$lib/server/desk';
import { productsPage } from '$lib/server/pages/whole-book/products-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => productsPage(deskOf(locals));
