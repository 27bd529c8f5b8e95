import { deskOf } from '$lib/server/desk';
import { newTrialPage } from '$lib/server/pages/whole-book/new-trial-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => newTrialPage(deskOf(locals));
