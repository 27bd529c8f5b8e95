import { inhibitorTwin } from '../../../../core/season/model/inhibitor-twin';
import { tripCount } from '../../../../core/season/plan/trips';
import { alternativesTo } from '../../../../core/season/propose/alternatives';
import { nitrogenCost, nitrogenPasses } from '../../../../core/season/propose/compare-programmes';
import type { StressSetup } from '../../../../workers/stress-messages';
import type { Desk } from '../../desk';
import { pricesOn } from '../../stores/prices';
import type { Advice, FieldYear } from '../field-year';
import { seasonRequestOf } from './season-run';

/** What a worker needs to try a plan and its alternatives over simulated seasons. */
export function stressSetup({ book, library, today }: Desk, { field }: FieldYear, advice: Advice): StressSetup {
	const prices = pricesOn(book, today);
	const request = seasonRequestOf(advice, 'normal', field.units);
	const { crops, products, schedules, seasonModel, stages } = library;
	const { station } = advice.context;
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
