import { deskOf } from '$lib/server/desk';
import { sheetPage } from '$lib/server/pages/sheet-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => sheetPage(deskOf(locals), params);
