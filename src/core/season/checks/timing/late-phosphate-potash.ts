import { amountText } from '../../../units/amount-text';
import type { PassCheck } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import { usualStages } from '../../stages/stage-dates';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, leastLb, daysToSolution, beforeStage, beforePlantingDays } = RULES['late-phosphate-potash'];

/** Phosphate and potash on top of a standing crop, too late to reach it. */
export const latePhosphatePotashCheck: SeasonCheck = (
	passes,
	{ products, plantingDate, stages, station, crop, units }
) => {
	const due = usualStages({ stages, plantingDate, station }).find(({ name }) => name === beforeStage);
	if (!due || crop.perennial) return [];
	const last = shiftDate(due.date, -daysToSolution);
	return passes.flatMap((pass): PassCheck[] => {
		const product = productOf(pass, products);
		const carried = (['P2O5', 'K2O'] as const).filter((nutrient) => passNutrient(pass, product, nutrient) >= leastLb);
		if (carried.length === 0 || pass.date <= plantingDate || pass.date <= last || !isOnSurface(pass)) return [];
		const pounds = carried
			.map((nutrient) => `${amountText(units)(passNutrient(pass, product, nutrient))} ${nutrient}`)
			.join(' and ');
		return [
			{
				rule: 'late-phosphate-potash',
				severity: 'mind',
				pass: pass.id,
				text: `${pounds} on top of standing ${crop.name.toLowerCase()} on ${longDate(pass.date)}: they need moisture and three to four weeks to reach the roots, and should be in before ${beforeStage} (usually ${longDate(due.date)}).`,
				basis,
				remedies: [movedTo(pass, shiftDate(plantingDate, -beforePlantingDays), 'before planting')]
			}
		];
	});
};
