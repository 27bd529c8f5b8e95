import { cautionsFor } from '../../../core/season/plan/hazards';
import { hasTrait } from '../../../core/season/plan/crop-traits';
import { tripOf } from '../../../core/season/plan/trips';
import { sprayStrength } from '../../../core/season/checks/leaf-spray/spray-strength';
import type { Pass } from '../../../core/schema-types';
import { formShares } from '../../../core/season/plan/nitrogen-forms';
import { productOf } from '../../../core/season/plan/plan-context';
import type { YearKind } from '../../../core/season/weather/generate-weather';
import { catalogueFor } from '../../../core/supply/catalogue/offered-for';
import { inEachSystem, inSystem } from '../../../core/units/rate-units';
import { broughtInYear } from '../../../core/water/irrigation';
import { decisionViews } from '../field/season/decision-views';
import { listKeptPlans } from '../stores/plan/decisions';
import { afterHarvest } from '../field/season/after-harvest';
import { catchCropOf } from '../stores/plan/after-the-harvest';
import { namedSecond } from '../field/season/second-crop-view';
import { supplied } from '../field/season/supplied';
import { boardGround } from '../field/season/board-ground';
import { measuredBy, passView } from './pass-view';
import type { Desk, FieldAddress } from '../desk';

const KINDS: readonly YearKind[] = ['normal', 'wet', 'dry'];

/** The page of the season: the passes, and all that the board needs to work a year out by itself. */
export function seasonPage(desk: Desk, address: FieldAddress, weather: string | null) {
	const { field, year, advice, goal, prices } = desk.fieldYear(address);
	const library = desk.library;
	const { products, cautions } = library;
	const { units } = field;
	const plans = (advice?.passes ?? []).map(({ plan }) => plan);
	const catalogue = catalogueFor(products, goal?.crop, plans).map((product) => ({
		id: product.id,
		name: product.name,
		placements: product.placements,
		...measuredBy(product),
		nitrogen: (product.analysis.N ?? 0) > 0,
		ammonia: product.hazards.includes('ammonia'),
		cautions: product.hazards.map((hazard) => cautions.cautions[hazard] ?? '').filter(Boolean)
	}));
	const base = { fieldId: field.id, year, units, catalogue, hasGoal: goal !== undefined };
	if (!advice) return { ...base, season: undefined };
	const { context, passes, costs, crop, debt, site } = advice;
	const { holdingLimit, holdingRoom, station } = context;
	/** How strong a leaf spray is, with what goes on in its trip. */
	const sprayOf = (plan: Pass) =>
		plan.placement === 'leaf' ? sprayStrength(plan, productOf(plan, products), crop, tripOf(plan, plans)) : undefined;
	const kind = kindOf(weather);
	return {
		...base,
		season: {
			cropName: crop.name,
			plantingDate: context.plantingDate,
			ceiling: inSystem(holdingRoom.applies ? holdingRoom : holdingLimit, units),
			debt: inSystem(debt, units),
			forms: hasTrait(crop, 'corn')
				? formShares(
						passes.map(({ plan }) => plan),
						products
					)
				: undefined,
			ground: boardGround(advice, kind, units, library),
			prices,
			station: { name: station.name, simulated: station.simulated },
			/** A perennial stands over the winter: nothing is sown after it. */
			after: crop.perennial ? undefined : afterHarvest(advice, kind, units, library),
			sown: catchCropOf(advice.goal),
			second: namedSecond(advice.goal, library.crops),
			catchCrops: library.seasonModel.catchCrops.map(({ id, name }) => ({ id, name })),
			hasStress: context.schedule?.uptake !== undefined,
			decisions: decisionViews(desk, advice, units),
			keptPlans: listKeptPlans(desk.book, advice.goal.id).map(({ id, name, passes: kept, decisions }) => ({
				id,
				name,
				passes: kept.length,
				decisions: decisions.length
			})),
			...supplied(advice, units),
			byWater: site.irrigation ? inEachSystem(broughtInYear(site.irrigation), units) : {},
			passes: passes.map((record) => ({
				...passView(record, products, units, site),
				spray: sprayOf(record.plan),
				cost: inSystem(costs.get(record.plan.id)!, units),
				cautions: cautionsFor(productOf(record.plan, products), record.plan, cautions)
			}))
		}
	};
}

/** What the board of a field stands on; undefined without a sample, a crop or a goal. */
export function seasonGround(desk: Desk, address: FieldAddress, weather: string | null) {
	const { field, advice } = desk.fieldYear(address);
	if (!advice) return undefined;
	const { units } = field;
	return { units, ground: boardGround(advice, kindOf(weather), units, desk.library) };
}

function kindOf(weather: string | null): YearKind {
	return KINDS.find((one) => one === weather) ?? 'normal';
}

export type SeasonPage = ReturnType<typeof seasonPage>;
