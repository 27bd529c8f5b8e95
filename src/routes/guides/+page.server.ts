import { deskOf } from '$lib/server/desk';
import { guidesPage } from '$lib/server/pages/whole-book/guides-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => guidesPage(deskOf(locals));
