import { deskOf } from '$lib/server/desk';
import { ratesPage } from '$lib/server/pages/rates-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => ratesPage(deskOf(locals), params);
