import { deskOf } from '$lib/server/desk';
import { trialOf } from '$lib/server/http/trial-param';
import { trialPage } from '$lib/server/pages/whole-book/trial-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => trialPage(deskOf(locals), trialOf(params));
