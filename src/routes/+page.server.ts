import { deskOf } from '$lib/server/desk';
import { rosterPage } from '$lib/server/pages/whole-book/roster-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => rosterPage(deskOf(locals));
