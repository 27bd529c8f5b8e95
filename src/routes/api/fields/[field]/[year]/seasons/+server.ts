import { alternativesTo } from '$core/season/propose/alternatives';
import { nitrogenCost, nitrogenPasses } from '$core/season/propose/compare-programmes';
import { inhibitorTwin } from '$core/season/model/inhibitor-twin';
import { tripCount } from '$core/season/plan/trips';
import { answerQuestion } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { adviceOf } from '$lib/server/http/params';
import { seasonRequestOf } from '$lib/server/field/season-run';
import { pricesOn } from '$lib/server/stores/prices';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { StressSetup } from '../../../../../../workers/stress-messages';
import type { RequestHandler } from './$types';

/** What a worker needs to try this plan and its alternatives over many seasons. */
export const GET: RequestHandler = ({ params }) => answerQuestion(() => setupOf(params));

function setupOf(params: { field: string; year: string }): StressSetup {
	const advice = adviceOf(params);
	const library = currentLibrary();
	const { units } = readSettings(theBook());
	const prices = pricesOn(theBook(), today());
	const request = seasonRequestOf(advice, 'normal', units, library);
	const { crops, products, schedules, seasonModel, stages, station } = library;
	const twin = inhibitorTwin(request.passes, advice.context);
	const tried = [...alternativesTo(request.passes, advice.context), ...(twin ? [twin] : [])];
	const programmes = tried.map(({ name, passes }) => {
		const nitrogen = nitrogenPasses(passes, products);
		const cost = nitrogenCost(nitrogen, products, (item) => prices.get(item));
		return {
			name,
			passes: tripCount(nitrogen),
			request: { ...request, passes },
			nitrogenCost: cost.applies ? cost.value : undefined,
			inhibitors: twin?.passes === passes ? (twin.guarded ? ('with' as const) : ('without' as const)) : undefined
		};
	});
	return {
		programmes,
		knowledge: { crops, products, schedules, seasonModel, stages, stations: [station] },
		grainPrice: prices.get(`grain:${advice.crop.id}`),
		yieldUnit: advice.crop.yieldUnit
	};
}
