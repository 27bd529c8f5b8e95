import { deskOf } from '$lib/server/desk';
import { workPage } from '$lib/server/pages/office/work-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => workPage(deskOf(locals), url.searchParams);
