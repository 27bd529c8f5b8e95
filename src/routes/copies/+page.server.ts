import { deskOf } from '$lib/server/desk';
import { copiesPage } from '$lib/server/pages/office/copies-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => copiesPage(deskOf(locals));
