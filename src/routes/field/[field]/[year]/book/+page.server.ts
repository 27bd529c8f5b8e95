import { deskOf } from '$lib/server/desk';
import { bookPage } from '$lib/server/pages/book-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => bookPage(deskOf(locals), params);
