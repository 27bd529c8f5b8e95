import { deskOf } from '$lib/server/desk';
import { yearsPage } from '$lib/server/pages/office/years-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => yearsPage(deskOf(locals), url.searchParams);
