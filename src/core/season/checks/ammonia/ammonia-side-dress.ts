import { quantityIn } from '../../../units/amount-text';
import type { PassCheck } from '../../../schema-types';
import { depthOf, offsetOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { USUAL_ROW_IN } from '../../plan/usual-values';
import { RULES } from '../season-rules';

const { basis, leastDepthIn, leastOffsetIn, openSlotIn } = RULES['ammonia-side-dress'];

/** Ammonia side-dressed too shallow to be held, or too near the row. Wheat has a rule of its own. */
export const ammoniaSideDressCheck: SeasonCheck = (passes, { products, plantingDate, rowSpacingIn, stages, units }) => {
	if (stages?.stages.some(({ feekes }) => feekes !== undefined)) return [];
	const inches = (one: number) => quantityIn(units, one, 'in');
	return passes.flatMap((pass): PassCheck[] => {
		if (!productOf(pass, products).hazards.includes('ammonia') || pass.date <= plantingDate) return [];
		const depth = depthOf(pass, true);
		const offset = offsetOf(pass, rowSpacingIn ?? USUAL_ROW_IN);
		if (depth >= leastDepthIn && offset >= leastOffsetIn) return [];
		const found = [
			...(depth < leastDepthIn ? [`${inches(depth)} deep, where the slot does not hold it`] : []),
			...(offset < leastOffsetIn ? [`${inches(offset)} from the row, where it burns roots`] : [])
		];
		const safe = {
			...pass,
			depthIn: Math.max(depth, leastDepthIn),
			...(offset < leastOffsetIn ? { offsetIn: leastOffsetIn } : {})
		};
		return [
			{
				rule: 'ammonia-side-dress',
				severity: depth < openSlotIn || offset < leastOffsetIn ? 'stop' : 'mind',
				pass: pass.id,
				text: `Ammonia side-dressed ${found.join(' and ')}: ${quantityIn(units, [leastDepthIn, 8], 'in')} deep, midway between the rows.`,
				basis,
				remedies: [
					{
						label: `${inches(leastDepthIn)} deep${offset < leastOffsetIn ? `, ${inches(leastOffsetIn)} from the row` : ''}`,
						passes: [safe]
					}
				]
			}
		];
	});
};
