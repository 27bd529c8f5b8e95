import type { PassCheck } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';

/** Nitrogen or sulfur that comes after this crop is off; lime, P and K are for the next one. */
export const afterHarvestCheck: SeasonCheck = (passes, { schedule, plantingDate, products, crop }) => {
	const harvestDays = schedule?.uptake?.harvestDays;
	if (harvestDays === undefined || crop.perennial) return [];
	const harvest = shiftDate(plantingDate, harvestDays);
	return passes.flatMap((pass): PassCheck[] => {
		const product = productOf(pass, products);
		const carries = passNutrient(pass, product, 'N') + passNutrient(pass, product, 'S') > 0;
		if (pass.date <= harvest || !carries) return [];
		return [
			{
				rule: 'after-harvest',
				severity: 'mind',
				pass: pass.id,
				text: `${longDate(pass.date)} is after the harvest of this ${crop.name.toLowerCase()} (usually about ${longDate(harvest)}): it feeds the next crop. Plan it in that crop’s year.`,
				basis: 'practice',
				remedies: []
			}
		];
	});
};
