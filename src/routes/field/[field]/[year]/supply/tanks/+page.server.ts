import { deskOf } from '$lib/server/desk';
import { tanksPage } from '$lib/server/pages/tanks-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params, locals }) => ({
	title: 'Stock tanks',
	...tanksPage(deskOf(locals), params)
});
