import { formatNumber } from '../units/display';
import type { PlanContext } from './plan-context';

const USUAL_OPENER_IN = 1;

/**
 * N and K2O that may go with the seed, lb/ac: the crop's limit x reference spacing / spacing, times the opener's width over
 * 1 in. Common practice. 0 for crops without a limit: what is sensitive stands none.
 * @param openerWidthIn width over which the opener spreads it, in
 */
export function seedRowLimit(
	{ crop, sandy, rowSpacingIn, limits }: Pick<PlanContext, 'crop' | 'sandy' | 'rowSpacingIn' | 'limits'>,
	openerWidthIn = USUAL_OPENER_IN
): { lbAc: number; words: string } {
	const name = crop.name.toLowerCase();
	const limit = limits.seedRow.find(({ crops }) => crops.includes(crop.id));
	if (!limit) return { lbAc: 0, words: `${name} stands none there (on your own trial only)` };
	const reference = sandy ? (limit.sandyLbAc ?? limit.lbAc) : limit.lbAc;
	const spacing = rowSpacingIn ?? limit.referenceRowIn;
	const lbAc = (reference * openerWidthIn * limit.referenceRowIn) / spacing;
	const opener = openerWidthIn === USUAL_OPENER_IN ? '' : ` and a ${formatNumber(openerWidthIn, 'in')} in opener`;
	const ground = sandy && limit.sandyLbAc !== undefined ? ' in sandy ground' : '';
	return {
		lbAc,
		words: `${name} stands ${formatNumber(lbAc, 'lb/ac')} on ${formatNumber(spacing, 'in')} in rows${opener}${ground}`
	};
}
