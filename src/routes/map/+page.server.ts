import { deskOf } from '$lib/server/desk';
import { mapPage } from '$lib/server/pages/whole-book/map-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => mapPage(deskOf(locals));
