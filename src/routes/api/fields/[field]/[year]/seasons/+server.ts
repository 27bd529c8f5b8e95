import { json } from '@sveltejs/kit';
import { alternativesTo } from '$core/season/alternatives';
import { nitrogenCost, nitrogenPasses } from '$core/season/compare-programmes';
import { tripCount } from '$core/season/trips';
import { currentLibrary } from '$lib/server/current-library';
import { adviceOf } from '$lib/server/params';
import { seasonRequestOf } from '$lib/server/season-run';
import { pricesOn } from '$lib/server/stores/prices';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { StressSetup } from '../../../../../../workers/stress-messages';
import type { RequestHandler } from './$types';

/** What a worker needs to try this plan and its alternatives over many seasons. */
export const GET: RequestHandler = ({ params }) => {
	const advice = adviceOf(params);
	const library = currentLibrary();
	const { units } = readSettings(theBook());
	const prices = pricesOn(theBook(), today());
	const request = seasonRequestOf(advice, 'normal', units, library);
	const { crops, products, schedules, seasonModel, station } = library;
	const programmes = alternativesTo(request.passes, advice.context).map(({ name, passes }) => {
		const nitrogen = nitrogenPasses(passes, products);
		const cost = nitrogenCost(nitrogen, products, (item) => prices.get(item));
		return {
			name,
			passes: tripCount(nitrogen),
			request: { ...request, passes },
			nitrogenCost: cost.applies ? cost.value : undefined
		};
	});
	const setup: StressSetup = {
		programmes,
		knowledge: { crops, products, schedules, seasonModel, stations: [station] },
		grainPrice: prices.get(`grain:${advice.crop.id}`),
		yieldUnit: advice.crop.yieldUnit
	};
	return json(setup);
};
