import { deskOf } from '$lib/server/desk';
import { walkPage } from '$lib/server/pages/walk-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => walkPage(deskOf(locals), params);
