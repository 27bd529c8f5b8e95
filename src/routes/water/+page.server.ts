import { deskOf } from '$lib/server/desk';
import { waterPage } from '$lib/server/pages/whole-book/water-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => waterPage(deskOf(locals));
