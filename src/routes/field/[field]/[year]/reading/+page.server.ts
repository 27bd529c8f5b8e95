import { deskOf } from '$lib/server/desk';
import { readingPage } from '$lib/server/pages/reading-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => readingPage(deskOf(locals), params);
