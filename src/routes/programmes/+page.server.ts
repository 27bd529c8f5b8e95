import { deskOf } from '$lib/server/desk';
import { programmesPage } from '$lib/server/pages/office/programmes-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => programmesPage(deskOf(locals));
