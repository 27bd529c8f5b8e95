import { deskOf } from '$lib/server/desk';
import { palmNurseryPage } from '$lib/server/pages/whole-book/palm-nursery-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => palmNurseryPage(deskOf(locals));
