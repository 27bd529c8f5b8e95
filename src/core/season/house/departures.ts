import type { Choice } from '../../rates/choose';
import type { HouseProgramme, RateNutrient } from '../../schema-types';

/** Where a field is not as its house programme has it. */
export interface Departure {
	nutrient: RateNutrient;
	/** What was done instead: an own rate with its reason, another method by its key, or nothing. */
	own?: { rate: number; reason: string };
	method?: string;
}

/** The nutrients on which a field was overruled, in the order of the programme. */
export function departuresFrom({ rates }: HouseProgramme, choices: readonly Choice[]): Departure[] {
	return rates.flatMap(({ nutrient, methods }): Departure[] => {
		const choice = choices.find((one) => one.nutrient === nutrient);
		if (!choice) return [{ nutrient }];
		if (choice.ownRate !== undefined) {
			return [{ nutrient, own: { rate: choice.ownRate, reason: choice.reason } }];
		}
		return methods.includes(choice.method) ? [] : [{ nutrient, method: choice.method }];
	});
}
