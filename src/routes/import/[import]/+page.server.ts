import { deskOf } from '$lib/server/desk';
import { importPage } from '$lib/server/pages/import-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals, url }) =>
	importPage(deskOf(locals), params.import, url.searchParams.get('rows'));
