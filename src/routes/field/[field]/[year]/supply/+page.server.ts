import { deskOf } from '$lib/server/desk';
import { supplyPage } from '$lib/server/pages/supply-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => supplyPage(deskOf(locals), params);
