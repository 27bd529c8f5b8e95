import { formatNumber } from '../../../units/display';
import type { PassCheck } from '../../../schema-types';
import { depthOf, offsetOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { USUAL_ROW_IN } from '../../plan/usual-values';

/** In a standing crop ammonia goes so deep, or the slot stays open, and so far from the row, or it burns roots; in, common practice. */
const LEAST_DEPTH_IN = 6;
const LEAST_OFFSET_IN = 6;
/** Below this it is far too shallow, in: common practice. */
const OPEN_SLOT_IN = 4;

/** Ammonia side-dressed too shallow to be held, or too near the row. Wheat has a rule of its own. */
export const ammoniaSideDressCheck: SeasonCheck = (passes, { products, plantingDate, rowSpacingIn, stages }) => {
	if (stages?.stages.some(({ feekes }) => feekes !== undefined)) return [];
	return passes.flatMap((pass): PassCheck[] => {
		if (!productOf(pass, products).hazards.includes('ammonia') || pass.date <= plantingDate) return [];
		const depth = depthOf(pass, true);
		const offset = offsetOf(pass, rowSpacingIn ?? USUAL_ROW_IN);
		if (depth >= LEAST_DEPTH_IN && offset >= LEAST_OFFSET_IN) return [];
		const found = [
			...(depth < LEAST_DEPTH_IN ? [`${formatNumber(depth, 'in')} in deep, where the slot does not hold it`] : []),
			...(offset < LEAST_OFFSET_IN ? [`${formatNumber(offset, 'in')} in from the row, where it burns roots`] : [])
		];
		const safe = {
			...pass,
			depthIn: Math.max(depth, LEAST_DEPTH_IN),
			...(offset < LEAST_OFFSET_IN ? { offsetIn: LEAST_OFFSET_IN } : {})
		};
		return [
			{
				rule: 'ammonia-side-dress',
				severity: depth < OPEN_SLOT_IN || offset < LEAST_OFFSET_IN ? 'stop' : 'mind',
				pass: pass.id,
				text: `Ammonia side-dressed ${found.join(' and ')}: ${LEAST_DEPTH_IN} to 8 in deep, midway between the rows.`,
				basis: 'practice',
				remedies: [
					{
						label: `${LEAST_DEPTH_IN} in deep${offset < LEAST_OFFSET_IN ? `, ${LEAST_OFFSET_IN} in from the row` : ''}`,
						passes: [safe]
					}
				]
			}
		];
	});
};
