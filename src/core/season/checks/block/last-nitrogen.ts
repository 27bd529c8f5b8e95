import { longDate } from '../../../units/day-text';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { harvestYear } from '../../stages/stage-dates';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, leastLb } = RULES['last-nitrogen'];

/** Nitrogen by any product after the last day that the guide of a young planting gives it. */
export const lastNitrogenCheck: SeasonCheck = (passes, { schedule, plantingDate, products }) => {
	const none = schedule?.noNitrogenAfter;
	if (!none) return [];
	const year = harvestYear(plantingDate);
	const [last, end] = [`${year}-${none.monthDay}`, `${year}-12-31`];
	return passes
		.filter(({ date }) => date > last && date <= end)
		.filter((pass) => passNutrient(pass, productOf(pass, products), 'N') > leastLb)
		.map((pass) => ({
			rule: 'last-nitrogen',
			severity: 'mind' as const,
			pass: pass.id,
			text: `No nitrogen after ${longDate(last)}: ${none.why}.`,
			basis,
			remedies: [movedTo(pass, last, 'the last day')]
		}));
};
