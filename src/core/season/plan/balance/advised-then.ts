import { figure, type Answer } from '../../../figure/figure';
import type { AdviseAnswer, Rate } from '../../../schema-types';
import { BALANCED, type Balanced, type YearBalance } from './nutrient-balance';

/** What one approach would have advised for a year that is over, beside what went on. */
export interface AdvisedThen {
	nutrient: Balanced;
	rate: Rate;
	/** lb/ac. */
	advised: Answer;
	applied: Answer;
	/** lb/ac that would have been left had the approach been followed and the same harvest come off. */
	balance: Answer;
}

/**
 * Each approach's rate for a year that is over, what was applied, and the balance that the approach would have left with the harvest as
 * it came; what the harvest would have been under it nobody knows. Applications of one part of the season are left out.
 * @param answer advice on what was known then: sample, goal, prices
 * @param year balance of that year
 * @returns in the order of the nutrients; a nutrient without a balance is left out
 */
export function advisedThen({ rates }: Pick<AdviseAnswer, 'rates'>, { year, nutrients }: YearBalance): AdvisedThen[] {
	return BALANCED.flatMap((nutrient) => {
		const { ofYear } = nutrients[nutrient];
		if (!ofYear.applies) return [];
		const [applied, out] = ofYear.inputs;
		if (!applied || !out) return [];
		return rates.flatMap((rate): AdvisedThen[] => {
			const advised = rate.worksheet;
			if (rate.nutrient !== nutrient || !advised.applies || !isOfSeason(rate)) return [];
			const balance = figure({
				label: `${nutrient} of ${year}, had it been followed`,
				value: advised.value - out.value,
				unit: 'lb/ac',
				formula: 'advised - taken off',
				inputs: [advised, out],
				basis: out.basis,
				citation: out.citation
			});
			return [{ nutrient, rate, advised, applied, balance }];
		});
	});
}

/** A rate from a day on, or for one application, is no answer for the year. */
function isOfSeason({ stands = 'for the season' }: Rate): boolean {
	return stands === 'for the season';
}
