import { deskOf } from '$lib/server/desk';
import { groundPage } from '$lib/server/pages/ground-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => groundPage(deskOf(locals), params);
