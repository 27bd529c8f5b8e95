import { deskOf } from '$lib/server/desk';
import { zonesPage } from '$lib/server/pages/zones-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => zonesPage(deskOf(locals), params);
