import { deskOf } from '$lib/server/desk';
import { calibratePage } from '$lib/server/pages/whole-book/calibrate-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => calibratePage(deskOf(locals));
