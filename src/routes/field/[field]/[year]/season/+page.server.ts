import { cautionsFor } from '$core/season/hazards';
import { passCeiling, productOf } from '$core/season/plan-context';
import { inSystem } from '$core/units/rate-units';
import { currentLibrary } from '$lib/server/current-library';
import { fieldYearOf } from '$lib/server/params';
import { passView } from '$lib/server/pass-view';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const { field, year, advice, goal } = fieldYearOf(params);
	const { products, cautions } = currentLibrary();
	const { units } = readSettings(theBook());
	const catalogue = products.map(({ id, name, placements, hazards, lime }) => ({
		id,
		name,
		placements,
		isLime: lime !== undefined,
		cautions: hazards.map((hazard) => cautions.cautions[hazard] ?? '').filter(Boolean)
	}));
	const base = { fieldId: field.id, year, units, catalogue, hasGoal: goal !== undefined };
	if (!advice) return { ...base, season: undefined };
	const { context, passes, costs, chosen, totals, checks, crop } = advice;
	return {
		...base,
		season: {
			cropName: crop.name,
			plantingDate: context.plantingDate,
			ceiling: inSystem(passCeiling(context), units),
			chosen: chosen.map(({ nutrient, rate }) => ({ nutrient, rate: inSystem(rate, units) })),
			totals: totals.map((total) => inSystem(total, units)),
			checks,
			passes: passes.map((record) => ({
				...passView(record, products, units),
				cost: inSystem(costs.get(record.plan.id)!, units),
				cautions: cautionsFor(productOf(record.plan, products), record.plan.placement, cautions)
			}))
		}
	};
};
