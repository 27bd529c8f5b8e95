import { deskOf } from '$lib/server/desk';
import { pricesPage } from '$lib/server/pages/whole-book/prices-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => pricesPage(deskOf(locals));
