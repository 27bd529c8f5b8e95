import { deskOf } from '$lib/server/desk';
import { seasonPage } from '$lib/server/pages/season-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals, url }) =>
	seasonPage(deskOf(locals), params, url.searchParams.get('weather'));
