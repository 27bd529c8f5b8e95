import { figure, type Figure } from '../figure/figure';
import type { Rate, RateNutrient } from '../schema-types';

/** What the adviser settled on for one nutrient: a guide's method, or an own rate with the reason. */
export type Choice = { nutrient: RateNutrient } & (
	| { method: string; bothYears?: true; ownRate?: undefined; reason?: undefined }
	| { method?: undefined; bothYears?: undefined; ownRate: number; reason: string }
);

/** A settled rate with what it rests on. */
export interface Chosen {
	nutrient: RateNutrient;
	/** lb/ac, lime short tons/ac; its worksheet is the method's. */
	rate: Figure;
	/** The guide's title, or "the adviser". */
	by: string;
	why: string;
}

/**
 * The rate that a choice stands for now. Rates are derived, so a chosen method follows the soil test.
 * @param rates of this site in US units
 * @returns undefined where the chosen method no longer applies or is no longer there
 */
export function chosenRate(choice: Choice, rates: readonly Rate[]): Chosen | undefined {
	const { nutrient } = choice;
	if (choice.ownRate !== undefined) {
		const unit = nutrient === 'lime' ? 'short ton/ac' : 'lb/ac';
		const rate = figure({ label: `${nutrient} set by the adviser`, value: choice.ownRate, unit, basis: 'adviser' });
		return { nutrient, rate, by: 'the adviser', why: choice.reason };
	}
	const rate = rates.find(({ method }) => method === choice.method);
	const worksheet = choice.bothYears ? rate?.bothYears : (rate?.seasonTotal ?? rate?.worksheet);
	if (!rate || !worksheet?.applies || rate.stands === 'for this dressing') return undefined;
	const by = rate.simulated ? `${rate.packTitle} (simulated, not measured)` : rate.packTitle;
	return { nutrient, rate: worksheet, by, why: worksheet.label };
}
