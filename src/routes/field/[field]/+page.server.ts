import { redirect } from '@sveltejs/kit';
import { planningYear } from '$lib/server/field/planning-year';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	redirect(307, `/field/${params.field}/${planningYear(today())}/ground`);
