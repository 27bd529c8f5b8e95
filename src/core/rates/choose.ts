import { figure, type Figure } from '../figure/figure';
import type { Rate, RateNutrient } from '../schema-types';
import { quantityIn } from '../units/amount-text';
import type { UnitSystem } from '../units/rate-units';

/** What the adviser settled on for one nutrient: a guide's method, or an own rate with the reason. */
export type Choice = { nutrient: RateNutrient } & (
	| {
			method: string;
			bothYears?: true;
			/** The rate that the method gave when it was chosen, lb/ac, lime short tons/ac; undefined follows the method. */
			seen?: number;
			ownRate?: undefined;
			reason?: undefined;
	  }
	| { method?: undefined; bothYears?: undefined; seen?: undefined; ownRate: number; reason: string }
);

/** A settled rate with what it rests on. */
export interface Chosen {
	nutrient: RateNutrient;
	/** lb/ac, lime short tons/ac; its worksheet is the method's. */
	rate: Figure;
	/** The guide's title, or "the adviser". */
	by: string;
	why: string;
	/** What the method gives now, where that is another rate than the one chosen. */
	now?: Figure;
}

/** Rates this near to each other are one: no spreader tells them apart; common practice. */
const SAME_RATE = { 'lb/ac': 1, 'short ton/ac': 0.05 } as const;

/**
 * The rate of a choice: the number that was chosen, whatever has moved its method since.
 * @param rates of this site in US units
 * @returns undefined where the chosen method no longer applies or is no longer there
 */
export function chosenRate(choice: Choice, rates: readonly Rate[]): Chosen | undefined {
	const live = rateByNow(choice, rates);
	const { nutrient, seen } = choice;
	if (!live || seen === undefined || seen === live.rate.value) return live;
	const rate = figure({
		label: `${nutrient} as chosen`,
		value: seen,
		unit: live.rate.unit,
		formula: `the rate when it was chosen; ${live.by} gives another one now`,
		inputs: [live.rate],
		basis: 'adviser'
	});
	const apart = Math.abs(seen - live.rate.value) >= SAME_RATE[nutrient === 'lime' ? 'short ton/ac' : 'lb/ac'];
	return { ...live, rate, ...(apart ? { now: live.rate } : {}) };
}

/**
 * What the method of a choice gives now, or its own rate.
 * @param rates of a site or a zone of it, in US units
 */
export function rateByNow(choice: Choice, rates: readonly Rate[]): Chosen | undefined {
	const { nutrient } = choice;
	if (choice.ownRate !== undefined) {
		const unit = nutrient === 'lime' ? 'short ton/ac' : 'lb/ac';
		const rate = figure({ label: `${nutrient} set by the adviser`, value: choice.ownRate, unit, basis: 'adviser' });
		return { nutrient, rate, by: 'the adviser', why: choice.reason };
	}
	const rate = rates.find((one) => one.method === choice.method && one.nutrient === nutrient);
	const worksheet = choice.bothYears ? rate?.bothYears : (rate?.seasonTotal ?? rate?.worksheet);
	if (!rate || !worksheet?.applies || rate.stands === 'for this dressing') return undefined;
	const by = rate.simulated ? `${rate.packTitle} (simulated, not measured)` : rate.packTitle;
	return { nutrient, rate: worksheet, by, why: worksheet.label };
}

/** Choices with the rates that were seen when they were made. */
export function withSeen(choices: readonly Choice[], chosen: readonly Chosen[]): Choice[] {
	return choices.map((choice) => {
		const rate = chosen.find(({ nutrient }) => nutrient === choice.nutrient)?.rate;
		return choice.method === undefined || !rate ? choice : { ...choice, seen: rate.value };
	});
}

/** In words that a method gives another rate now than when it was chosen; undefined where it does not. */
export function movedText({ nutrient, rate, by, now }: Chosen, units: UnitSystem): string | undefined {
	if (!now) return undefined;
	const text = ({ value, unit }: Figure) => (value === 0 ? 'none' : quantityIn(units, value, unit));
	const name = nutrient === 'lime' ? 'Lime' : nutrient;
	return `${name} ${text(rate)} was chosen by ${by}. It gives ${text(now)} now, because its inputs have changed.`;
}
