import { amountText } from '../../../units/amount-text';
import type { PassCheck } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { usualStages } from '../../stages/stage-dates';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, leastLb, dormantFrom, earlyDays } = RULES['dormant-crop'];

/** Nitrogen on a crop sown in autumn that is dormant: it lies there all winter. */
export const dormantCropCheck: SeasonCheck = (passes, { products, plantingDate, stages, station, crop, units }) => {
	if (!stages?.heat || stages.heat.from !== 'new year') return [];
	const greenUp = usualStages({ stages, plantingDate, station })[0]?.date;
	const from = `${plantingDate.slice(0, 4)}-${dormantFrom}`;
	if (!greenUp) return [];
	return passes.flatMap((pass): PassCheck[] => {
		const pounds = passNutrient(pass, productOf(pass, products), 'N');
		const early = shiftDate(greenUp, -earlyDays);
		if (pounds < leastLb || pass.date < from || pass.date <= plantingDate || pass.date >= early) return [];
		return [
			{
				rule: 'dormant-crop',
				severity: 'stop',
				pass: pass.id,
				text: `${amountText(units)(pounds)} N on dormant ${crop.name.toLowerCase()} on ${longDate(pass.date)}: it takes next to nothing until green-up (usually ${longDate(greenUp)}), and the winter takes the nitrogen.`,
				basis,
				remedies: [movedTo(pass, greenUp, 'green-up')]
			}
		];
	});
};
