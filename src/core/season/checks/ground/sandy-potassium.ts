import { amountText } from '../../../units/amount-text';
import { addDays, format, parseISO } from 'date-fns';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, leastLb, beforePlantingDays } = RULES['sandy-potassium'];

/** Potash in autumn on sandy ground, for a crop of spring. */
export const sandyPotassiumCheck: SeasonCheck = (passes, { sandy, products, plantingDate, crop, units }) => {
	if (!sandy || crop.perennial || Number(plantingDate.slice(5, 7)) >= 8) return [];
	return passes.flatMap((pass) => {
		const potash = passNutrient(pass, productOf(pass, products), 'K2O');
		if (potash < leastLb || pass.date >= plantingDate || Number(pass.date.slice(5, 7)) < 9) return [];
		const spring = format(addDays(parseISO(plantingDate), -beforePlantingDays), 'yyyy-MM-dd');
		return [
			{
				rule: 'sandy-potassium',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${amountText(units)(potash)} K2O in autumn on sandy ground, which lets potassium through over winter: put it on in spring.`,
				basis,
				remedies: [movedTo(pass, spring)]
			}
		];
	});
};
