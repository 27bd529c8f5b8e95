import { notApplicable, type Answer } from '$core/figure/figure';
import { cautionsFor } from '$core/season/hazards';
import { passCeiling } from '$core/season/pass-ceiling';
import { passNutrient } from '$core/season/pass-nutrients';
import { productOf, type PlanContext } from '$core/season/plan-context';
import type { Pass } from '$core/schema-types';
import type { YearKind } from '$core/season/weather/generate-weather';
import { inSystem, valueInSystem } from '$core/units/rate-units';
import { seasonRun } from '$lib/server/season-run';
import { currentLibrary } from '$lib/server/current-library';
import { fieldYearOf } from '$lib/server/params';
import { passView } from '$lib/server/pass-view';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

const KINDS: readonly YearKind[] = ['normal', 'wet', 'dry'];

export const load: PageServerLoad = ({ params, url }) => {
	const { field, year, advice, goal } = fieldYearOf(params);
	const { products, cautions, stations } = currentLibrary();
	const { units } = readSettings(theBook());
	const catalogue = products.map(({ id, name, placements, hazards, lime, analysis }) => ({
		id,
		name,
		placements,
		isLime: lime !== undefined,
		nitrogen: (analysis.N ?? 0) > 0,
		cautions: hazards.map((hazard) => cautions.cautions[hazard] ?? '').filter(Boolean)
	}));
	const base = { fieldId: field.id, year, units, catalogue, hasGoal: goal !== undefined };
	if (!advice) return { ...base, season: undefined };
	const { context, passes, costs, chosen, totals, checks, crop, debt } = advice;
	const { holdingLimit, holdingRoom } = context;
	const kind = KINDS.find((one) => one === url.searchParams.get('weather')) ?? 'normal';
	return {
		...base,
		season: {
			cropName: crop.name,
			plantingDate: context.plantingDate,
			ceiling: inSystem(holdingRoom.applies ? holdingRoom : holdingLimit, units),
			debt: inSystem(debt, units),
			kind,
			run: seasonRun(advice, kind, units, currentLibrary()),
			limit: holdingLimit.applies ? valueInSystem(holdingLimit.value, 'lb/ac', units) : undefined,
			station: stations[0]!.name,
			chosen: chosen.map(({ nutrient, rate }) => ({ nutrient, rate: inSystem(rate, units) })),
			totals: totals.map((total) => inSystem(total, units)),
			checks,
			passes: passes.map((record) => ({
				...passView(record, products, units),
				room: inSystem(roomFor(record.plan, context), units),
				cost: inSystem(costs.get(record.plan.id)!, units),
				cautions: cautionsFor(productOf(record.plan, products), record.plan, cautions)
			}))
		}
	};
};

/** What the ground takes on the day of a pass that carries nitrogen. */
function roomFor(plan: Pass, context: PlanContext): Answer {
	const product = productOf(plan, context.products);
	return passNutrient(plan, product, 'N') > 0
		? passCeiling(context, plan.date, product)
		: notApplicable('room', 'it carries no nitrogen', '');
}
