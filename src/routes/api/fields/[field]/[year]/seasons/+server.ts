import { json } from '@sveltejs/kit';
import { alternativesTo } from '$core/season/alternatives';
import { passNutrient } from '$core/season/pass-nutrients';
import { productOf } from '$core/season/plan-context';
import { currentLibrary } from '$lib/server/current-library';
import { adviceOf } from '$lib/server/params';
import { seasonRequestOf } from '$lib/server/season-run';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import type { StressSetup } from '../../../../../../workers/stress-messages';
import type { RequestHandler } from './$types';

/** What a worker needs to try this plan and its alternatives over many seasons. */
export const GET: RequestHandler = ({ params }) => {
	const advice = adviceOf(params);
	const library = currentLibrary();
	const { units } = readSettings(theBook());
	const request = seasonRequestOf(advice, 'normal', units, library);
	const { crops, products, schedules, seasonModel, stations } = library;
	const carries = (pass: (typeof request.passes)[number]) => passNutrient(pass, productOf(pass, products), 'N') > 0;
	const programmes = alternativesTo(request.passes, advice.context).map(({ name, passes }) => ({
		name,
		passes: passes.filter(carries).length,
		request: { ...request, passes }
	}));
	const setup: StressSetup = { programmes, knowledge: { crops, products, schedules, seasonModel, stations } };
	return json(setup);
};
