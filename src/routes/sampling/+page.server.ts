import { deskOf } from '$lib/server/desk';
import { samplingPage } from '$lib/server/pages/office/sampling-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => samplingPage(deskOf(locals), url.searchParams);
