import { quantityIn } from '../../../core/units/amount-text';
import type { RateNutrient } from '../../../core/schema-types';
import { cautionsFor } from '../../../core/season/plan/hazards';
import { passRate } from '../../../core/season/plan/pass/pass-figures';
import { productOf } from '../../../core/season/plan/plan-context';
import { seasonTotals } from '../../../core/season/plan/season-totals';
import { passesInZone } from '../../../core/zones/prescription/zone-passes';
import { passNutrient } from '../../../core/season/plan/pass/pass-nutrients';
import { formatNumber } from '../../../core/units/display';
import { inSystem, yieldUnitOf } from '../../../core/units/rate-units';
import { costOverFlat, flatTotal, prescriptionTotal } from '../../../core/zones/prescription/prescription-totals';
import { boundaryOf } from '../field/zones/boundary-of';
import { listLayers, listZones } from '../stores/ground-maps';
import { listPrescriptions } from '../stores/plan/prescriptions';
import { adviseZones, compareZones } from '../field/zones/zone-advice';
import type { Desk, FieldAddress } from '../desk';

/** The page of map and zones. */
export function zonesPage(desk: Desk, address: FieldAddress) {
	const { field, year, advice, prices, goal } = desk.fieldYear(address);
	const library = desk.library;
	const { units } = field;
	const zones = listZones(desk.book, field.id, goal && { crop: goal.crop, year });
	const layers = listLayers(desk.book, field.id);
	const advised = advice ? adviseZones(advice, zones, layers, library, desk.today) : [];
	const chosen = advice?.chosen ?? [];
	const nutrients = chosen.map(({ nutrient }) => nutrient);
	const yieldUnit = advice ? yieldUnitOf(advice.crop) : '';
	const plans = (advice?.passes ?? []).map(({ plan }) => plan);
	return {
		fieldId: field.id,
		year,
		name: field.name,
		boundary: boundaryOf(field),
		acres: field.area_ac ?? undefined,
		yieldGoal: goal?.yield_goal,
		yieldUnit,
		zones,
		// The points of a layer are many: the page asks for those it shows.
		layers: layers.map(({ id, name, quantity, unit, takenOn, points }) => ({
			id,
			name,
			quantity,
			unit,
			takenOn,
			count: points.length
		})),
		means: Object.fromEntries(advised.map(({ zone, means }) => [zone.name, means])),
		rates: advised.map(({ zone, values, answer, rates, notes }) => ({
			name: zone.name,
			areaAcres: zone.areaAcres,
			notes,
			holds: [
				zone.facts.yieldGoal === undefined ? '' : `goal ${quantityIn(units, zone.facts.yieldGoal, yieldUnit)}`,
				...Object.entries(values).map(
					([analyte, value]) => `${analyte} ${formatNumber(Number(value.toPrecision(3)), 'ratio')}`
				)
			]
				.filter(Boolean)
				.join(', '),
			rates: chosen.map(({ nutrient }) => {
				const { rate, by } = rates.get(nutrient)!;
				return { nutrient, rate: inSystem(rate, units), by };
			}),
			opinions: answer.rates.map(({ nutrient, packTitle, worksheet }) => ({
				nutrient,
				school: `${packTitle}: ${worksheet.label}`,
				rate: inSystem(worksheet, units)
			}))
		})),
		chosen: chosen.map(({ nutrient, rate }) => ({ nutrient, rate: inSystem(rate, units) })),
		seasons: advised.map(({ zone, rates }) => {
			const own = passesInZone(plans, (plan) => {
				const [nutrient] = drivesOf(plan, productOf(plan, library.products), nutrients);
				const rate = nutrient && rates.get(nutrient)!.rate;
				const field = chosen.find((one) => one.nutrient === nutrient)?.rate.value;
				return rate && rate.applies && field !== undefined ? { zone: rate.value, field } : undefined;
			});
			return {
				zone: zone.name,
				passes: own.map((plan) => ({
					id: plan.id,
					rate: inSystem(passRate(plan, productOf(plan, library.products)), units)
				})),
				totals: seasonTotals(own, library).map((total) => inSystem(total, units))
			};
		}),
		plans: plans.map(({ id, label, product }) => ({
			id,
			label,
			productName: library.products.find((card) => card.id === product)?.name ?? product
		})),
		compared: advice && zones.length > 0 ? compareZones(advice, advised, prices) : [],
		passes: (advice?.passes ?? [])
			.filter(({ doneOn }) => doneOn === null)
			.map(({ plan }) => {
				const product = productOf(plan, library.products);
				return {
					plan,
					productName: product.name,
					drives: drivesOf(plan, product, nutrients),
					cautions: cautionsFor(product, plan, library.cautions)
				};
			})
			.filter(({ drives }) => drives.length > 0),
		prescriptions: listPrescriptions(desk.book, goal?.id ?? '').map(({ id, content, applied }) => {
			const product = library.products.find((card) => card.id === content.product.id);
			return {
				id,
				content,
				total: prescriptionTotal(content),
				flat: flatTotal(content),
				cost: costOverFlat(content, product, prices.get(`product:${content.product.id}`)),
				applied: applied.map((one) => one.content)
			};
		})
	};
}

/** Nutrients with a chosen rate that a pass carries, the one it carries most of first; lime for a lime. */
function drivesOf(
	plan: Parameters<typeof passNutrient>[0],
	product: Parameters<typeof passNutrient>[1],
	chosen: readonly RateNutrient[]
): RateNutrient[] {
	if (product.lime) return chosen.filter((nutrient) => nutrient === 'lime');
	return chosen
		.filter((nutrient) => nutrient !== 'lime')
		.filter((nutrient) => passNutrient(plan, product, nutrient) > 0)
		.sort((a, b) => passNutrient(plan, product, b) - passNutrient(plan, product, a));
}
