import { formatNumber } from '../../../units/display';
import type { Pass, Remedy } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, steepPercent } = RULES['slope-phosphorus'];
const INTO: readonly Pass['placement'][] = ['incorporated', '2x2 band', 'side band', 'deep strip band'];

/** Phosphate on the surface of sloping ground. */
export const slopePhosphorusCheck: SeasonCheck = (passes, { slopePercent, products, plantingDate }) => {
	if (slopePercent === undefined || slopePercent < steepPercent) return [];
	return passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (passNutrient(pass, product, 'P2O5') === 0 || !isOnSurface(pass)) return [];
		const standing = pass.date > plantingDate;
		const remedies: Remedy[] = INTO.filter((placement) => product.placements.includes(placement) && !standing).map(
			(placement) => ({ label: `Place it: ${placement}`, passes: [{ ...pass, placement }] })
		);
		return [
			{
				rule: 'slope-phosphorus',
				severity: 'mind' as const,
				pass: pass.id,
				text: `Phosphate on top of a ${formatNumber(slopePercent, '%')} % slope (from ${steepPercent} on) leaves with the soil: band it or work it in.`,
				basis,
				remedies
			}
		];
	});
};
