import { longDate } from '../../../units/day-text';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { anchorDay } from '../../stages/anchored-stages';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, afterBloomDays, petalFallDays } = RULES['late-fruit-nitrogen'];

/** Nitrogen between the growth of the fruit and its harvest costs colour and storage. */
export const lateFruitNitrogenCheck: SeasonCheck = (passes, context) => {
	const { crop, products } = context;
	const [bloom, ripe] = [anchorDay(context, 'bloom'), anchorDay(context, 'firstRipe')];
	if (!hasTrait(crop, 'late-nitrogen-spoils-fruit') || !bloom || !ripe) return [];
	const last = shiftDate(bloom, afterBloomDays);
	return passes
		.filter((pass) => passNutrient(pass, productOf(pass, products), 'N') > 0)
		.filter(({ date, placement }) => date > last && date <= ripe && placement !== 'leaf')
		.map((pass) => ({
			rule: 'late-fruit-nitrogen',
			severity: 'mind' as const,
			pass: pass.id,
			text: `Nitrogen after ${longDate(last)}, six weeks after petal fall, costs ${crop.name.toLowerCase()} colour and storage.`,
			basis,
			remedies: [movedTo(pass, shiftDate(bloom, petalFallDays), 'petal fall')]
		}));
};
