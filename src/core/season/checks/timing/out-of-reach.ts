import { quantityIn } from '../../../units/amount-text';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { daysToReach } from '../../model/reach';
import { offsetOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { USUAL_ROW_IN } from '../../plan/usual-values';
import { RULES } from '../season-rules';

const { basis, leastLb } = RULES['out-of-reach'];

/** Nitrogen between wide rows that corn cannot reach for weeks. */
export const outOfReachCheck: SeasonCheck = (passes, { crop, products, plantingDate, rowSpacingIn, model, units }) => {
	if (!hasTrait(crop, 'corn')) return [];
	return passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (pass.date < plantingDate || passNutrient(pass, product, 'N') < leastLb) return [];
		const offset = offsetOf(pass, rowSpacingIn ?? USUAL_ROW_IN);
		const reached = shiftDate(plantingDate, daysToReach(offset, model));
		if (pass.date >= reached) return [];
		return [
			{
				rule: 'out-of-reach',
				severity: 'note' as const,
				pass: pass.id,
				text: `${quantityIn(units, offset, 'in')} from the row: nitrogen moves ${quantityIn(units, [3, 6], 'in')} sideways, and roots get there about ${longDate(reached)}. Until then the crop lives on what else it has.`,
				basis,
				remedies: product.placements.includes('row-base stream')
					? [{ label: 'Stream it at the row base', passes: [withoutOffset({ ...pass, placement: 'row-base stream' })] }]
					: []
			}
		];
	});
};

function withoutOffset({ offsetIn: _offset, depthIn: _depth, ...pass }: Parameters<SeasonCheck>[0][number]) {
	return pass;
}
