import { deskOf } from '$lib/server/desk';
import { trialsPage } from '$lib/server/pages/whole-book/trials-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => trialsPage(deskOf(locals));
