import { deskOf } from '$lib/server/desk';
import { leafRangesPage } from '$lib/server/pages/whole-book/leaf-ranges-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => leafRangesPage(deskOf(locals));
