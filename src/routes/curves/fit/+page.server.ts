import { deskOf } from '$lib/server/desk';
import { fitPage } from '$lib/server/pages/whole-book/fit-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, locals }) => fitPage(deskOf(locals), url.searchParams);
