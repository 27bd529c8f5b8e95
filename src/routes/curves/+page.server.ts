import { deskOf } from '$lib/server/desk';
import { curvesPage } from '$lib/server/pages/whole-book/curves-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => curvesPage(deskOf(locals));
