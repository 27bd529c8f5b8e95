import { longDate } from '../../../units/day-text';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { usualStages } from '../../stages/stage-dates';
import { anchorDay } from '../../stages/anchored-stages';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, leadDays } = RULES['leafless-nitrogen'];

/** Without leaves a perennial takes up next to no nitrogen, and winter rain takes it down. */
export const leaflessNitrogenCheck: SeasonCheck = (passes, context) => {
	const { crop, products } = context;
	const budBreak = anchorDay(context, 'budBreak');
	const leafFall = usualStages(context).find(({ name }) => name === 'leaf fall')?.date;
	if (!crop.perennial || !budBreak || !leafFall) return [];
	const first = shiftDate(budBreak, -leadDays);
	return passes
		.filter((pass) => passNutrient(pass, productOf(pass, products), 'N') > 0)
		.filter(({ date }) => date < first || date > leafFall)
		.map((pass) => ({
			rule: 'leafless-nitrogen',
			severity: 'mind' as const,
			pass: pass.id,
			text: `${crop.name} stands without leaves on ${longDate(pass.date)} and takes up next to no nitrogen before about ${longDate(budBreak)}.`,
			basis,
			remedies: [movedTo(pass, budBreak, 'the leaves come')]
		}));
};
