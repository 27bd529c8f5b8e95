import { deskOf } from '$lib/server/desk';
import { houseRulesPage } from '$lib/server/pages/whole-book/house-rules-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => houseRulesPage(deskOf(locals));
