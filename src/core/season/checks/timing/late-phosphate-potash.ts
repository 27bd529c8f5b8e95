import { formatNumber } from '../../../units/display';
import type { PassCheck } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import { stageDates, usualTemperatures } from '../../stages/stage-dates';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';

/** What sulfur or a starter carries along counts for nothing, lb/ac: judgement. */
const LEAST_LB = 20;
/** Soluble P and K need moisture and so many days to reach the soil solution, and are to be in before this stage; common practice. */
const DAYS_TO_SOLUTION = 21;
const BEFORE_STAGE = 'V7';
/** Before planting they go on so many days ahead; common practice. */
const BEFORE_PLANTING_DAYS = 28;

/** Phosphate and potash on top of a standing crop, too late to reach it. */
export const latePhosphatePotashCheck: SeasonCheck = (passes, { products, plantingDate, stages, station, crop }) => {
	const due =
		stages && stageDates(stages, plantingDate, usualTemperatures(station)).find(({ name }) => name === BEFORE_STAGE);
	if (!due || crop.perennial) return [];
	const last = shiftDate(due.date, -DAYS_TO_SOLUTION);
	return passes.flatMap((pass): PassCheck[] => {
		const product = productOf(pass, products);
		const carried = (['P2O5', 'K2O'] as const).filter((nutrient) => passNutrient(pass, product, nutrient) >= LEAST_LB);
		if (carried.length === 0 || pass.date <= plantingDate || pass.date <= last || !isOnSurface(pass)) return [];
		const pounds = carried
			.map((nutrient) => `${formatNumber(passNutrient(pass, product, nutrient), 'lb/ac')} lb ${nutrient}`)
			.join(' and ');
		return [
			{
				rule: 'late-phosphate-potash',
				severity: 'mind',
				pass: pass.id,
				text: `${pounds} on top of standing ${crop.name.toLowerCase()} on ${longDate(pass.date)}: they need moisture and three to four weeks to reach the roots, and should be in before ${BEFORE_STAGE} (usually ${longDate(due.date)}).`,
				basis: 'practice',
				remedies: [movedTo(pass, shiftDate(plantingDate, -BEFORE_PLANTING_DAYS), 'before planting')]
			}
		];
	});
};
