import { measured } from '../../../../core/figure/measured';
import { removalOf } from '../../../../core/season/plan/balance/nutrient-balance';
import { nitrogenLeft } from '../../../../core/trials/nitrogen/residual-nitrate';
import { designCautions } from '../../../../core/trials/design/design-cautions';
import { rateOf } from '../../../../core/trials/design/treatments';
import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { MEASURES } from '../../../../core/trials/plots/measures';
import { readTrial } from '../../../../core/trials/reading/read-trial';
import type { LayerQuantity } from '../../../../core/schema-types';
import type { Desk } from '../../desk';
import { becameOfTrial } from '../../field/trials/became-of-trial';
import { groundOfTrial, triedNutrient } from '../../field/trials/trial-ground';
import { productsForTrial } from '../../field/trials/trial-prescription';
import { termsOfTrial } from '../../field/trials/trial-terms';
import { boundaryOf } from '../../field/zones/boundary-of';
import { findFieldYear } from '../../stores/field-years';
import { listLayers } from '../../stores/ground-maps';
import { pricesOn } from '../../stores/prices';
import type { BookTrial } from '../../stores/trials';

/** The page of a trial: its plan on the map, what was measured, and what each measure says. */
export function trialPage(desk: Desk, trial: BookTrial) {
	const { book, library, today } = desk;
	const { plan, plots, records, fieldId, year } = trial;
	const fieldYear = desk.fieldYear({ field: fieldId, year: String(year) });
	const terms = termsOfTrial(desk, trial);
	const prices = pricesOn(book, today);
	const crop = findFieldYear(book, fieldId, year)?.crop;
	const known = library.crops.find(({ id }) => id === crop);
	const layersOf = (of: LayerQuantity) =>
		listLayers(book, fieldId)
			.filter(({ quantity }) => quantity === of)
			.map(({ id, name }) => ({ id, name }));
	return {
		title: plan.name,
		became: becameOfTrial(book, trial),
		trial,
		boundary: boundaryOf(fieldYear.field),
		units: fieldYear.field.units,
		cautions: designCautions(plan, plots, groundOfTrial(desk, fieldYear, plan, trial)),
		readings: MEASURES.filter(
			({ id }) => id === 'yield' || records.some(({ values }) => values?.[id] !== undefined)
		).map(({ id, name, unit }) => ({
			id,
			name,
			unit: id === 'yield' ? terms.yieldUnit : unit,
			reading: readTrial(trial, id, { ...terms, yieldUnit: id === 'yield' ? terms.yieldUnit : unit })
		})),
		nitrogenLeft:
			known &&
			triedNutrient(plan) === 'N' &&
			nitrogenLeft(
				trial,
				terms.standardMoisturePercent,
				(yielded) => removalOf(known, 'N', measured('yield', yielded, terms.yieldUnit), 0, library.packs),
				fieldYear.field.units
			),
		yieldUnit: terms.yieldUnit,
		standardMoisture: terms.standardMoisturePercent,
		layers: layersOf('yield'),
		moistureLayers: layersOf('grain moisture'),
		products: productsForTrial(desk, trial).map(({ id, name }) => ({ id, name })),
		/** What is known of prices today, to start from. */
		price: prices.get(`grain:${crop ?? ''}`),
		costs: suggestedCosts(desk, trial)
	};
}

/** Cost of each treatment by its rate and the nutrient's price today; none where either is not known. */
function suggestedCosts({ book, today }: Desk, { plan, plots }: BookTrial): Record<string, number> {
	const price = pricesOn(book, today).get(`nutrient:${triedNutrient(plan) ?? ''}`);
	if (price === undefined) return {};
	return Object.fromEntries(
		plots.map((plot) => [treatmentOf(plot), Math.round(rateOf(plan, plot)! * price * 100) / 100])
	);
}
