import { deskOf } from '$lib/server/desk';
import { weatherPage } from '$lib/server/pages/whole-book/weather-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => weatherPage(deskOf(locals));
