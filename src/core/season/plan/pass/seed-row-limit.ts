import { amountText, quantityIn } from '../../../units/amount-text';
import type { Pass, Product } from '../../../schema-types';
import type { PlanContext } from '../plan-context';
import { USUAL_ROW_IN } from '../usual-values';

const USUAL_OPENER_IN = 1;

/**
 * N and K2O that may go with the seed, lb/ac: the crop's limit x reference spacing / spacing, times the opener's width over
 * 1 in. Common practice. 0 for crops without a limit: what is sensitive stands none.
 * @param openerWidthIn width over which the opener spreads it, in
 */
export function seedRowLimit(
	{
		crop,
		sandy,
		rowSpacingIn,
		limits,
		units
	}: Pick<PlanContext, 'crop' | 'sandy' | 'rowSpacingIn' | 'limits' | 'units'>,
	openerWidthIn = USUAL_OPENER_IN
): { lbAc: number; words: string } {
	const name = crop.name.toLowerCase();
	const limit = limits.seedRow.find(({ crops }) => crops.includes(crop.id));
	if (!limit || limit.lbAc === 0) return { lbAc: 0, words: `${name} stands none there (on your own trial only)` };
	const reference = sandy ? (limit.sandyLbAc ?? limit.lbAc) : limit.lbAc;
	const spacing = rowSpacingIn ?? limit.referenceRowIn;
	const lbAc = (reference * openerWidthIn * limit.referenceRowIn) / spacing;
	const opener = openerWidthIn === USUAL_OPENER_IN ? '' : ` and a ${quantityIn(units, openerWidthIn, 'in')} opener`;
	const ground = sandy && limit.sandyLbAc !== undefined ? ' in sandy ground' : '';
	return {
		lbAc,
		words: `${name} stands ${amountText(units).bare(lbAc)} on ${quantityIn(units, spacing, 'in')} rows${opener}${ground}`
	};
}

/**
 * P2O5 of phosphates that may go with the seed, lb/ac, scaled as the salt is.
 * @returns undefined where the crop has no limit of its own for phosphate: then the salt in it counts
 */
export function phosphateLimit(
	{ crop, rowSpacingIn, limits, units }: Pick<PlanContext, 'crop' | 'rowSpacingIn' | 'limits' | 'units'>,
	openerWidthIn = USUAL_OPENER_IN
): { lbAc: number; words: string } | undefined {
	const limit = limits.seedRow.find(({ crops }) => crops.includes(crop.id));
	if (limit?.p2o5LbAc === undefined) return undefined;
	const spacing = rowSpacingIn ?? limit.referenceRowIn;
	const lbAc = (limit.p2o5LbAc * openerWidthIn * limit.referenceRowIn) / spacing;
	const opener = openerWidthIn === USUAL_OPENER_IN ? '' : ` and a ${quantityIn(units, openerWidthIn, 'in')} opener`;
	return {
		lbAc,
		words: `${crop.name.toLowerCase()} stands ${amountText(units).bare(lbAc)} on ${quantityIn(units, spacing, 'in')} rows${opener}`
	};
}

/** Coated urea, or urea with a urease inhibitor: in moist soil seed stands more of it than of bare urea. */
export function isGuardedUrea(
	{ additive }: Pick<Pass, 'additive'>,
	{ nitrogenForms, slowRelease, sulfurForm, analysis }: Product
): boolean {
	if ((nitrogenForms?.urea ?? 0) === 0 || sulfurForm === 'thiosulfate' || (analysis.B ?? 0) > 0) return false;
	return slowRelease === true || additive === 'urease inhibitor' || additive === 'both inhibitors';
}

/** Why a product never goes with the seed; undefined where a little of it may. Common practice. */
export function neverWithSeed({ name, nitrogenForms, sulfurForm, analysis }: Product): string | undefined {
	if ((nitrogenForms?.urea ?? 0) > 0) return `${name} holds urea, which turns to ammonia`;
	if (sulfurForm === 'thiosulfate') return `${name} is a thiosulfate and burns seed`;
	if ((analysis.B ?? 0) > 0) return `${name} holds boron, which poisons seed`;
	return undefined;
}

/** Whether the seed row may be proposed for a product: a phosphate with little else, not what is urea-bearing or rich in ammonium. */
export function maySuggestSeedRow(product: Product): boolean {
	return neverWithSeed(product) === undefined && isPhosphate(product);
}

/** Phosphate before all, without potash. */
export function isPhosphate({ analysis: { N = 0, P2O5 = 0, K2O = 0 } }: Product): boolean {
	return P2O5 > N && K2O === 0;
}

/**
 * A phosphate with the seed of a crop that stands no salt, on the scale of the trade: pounds of product in proportion to the row
 * spacing.
 * @returns undefined where the crop has no such scale
 */
export function phosphateWithSeed(
	{ crop, rowSpacingIn, limits, units }: Pick<PlanContext, 'crop' | 'rowSpacingIn' | 'limits' | 'units'>,
	productLbAc: number
): { effect: 'harmless' | 'unsure' | 'thins' | 'halves'; mostLb: number; words: string } | undefined {
	const limit = limits.seedRow.find(({ crops }) => crops.includes(crop.id));
	const scale = limit?.phosphate;
	if (!limit || !scale) return undefined;
	const spacing = rowSpacingIn ?? USUAL_ROW_IN;
	const here = (lb: number) => (lb * limit.referenceRowIn) / spacing;
	const say = amountText(units);
	const amount = (lb: number) => say.bare(here(lb), 'whole');
	const effect =
		productLbAc <= here(scale.harmlessLb) + 1e-9
			? 'harmless'
			: productLbAc < here(scale.thinsLb)
				? 'unsure'
				: productLbAc < here(scale.halvesLb)
					? 'thins'
					: 'halves';
	const words = `on ${quantityIn(units, spacing, 'in')} rows ${say(here(scale.harmlessLb), 'whole')} of product do no harm, stands thin from about ${amount(scale.thinsLb)}, and from about ${amount(scale.halvesLb)} half of the yield is at stake`;
	return { effect, mostLb: here(scale.harmlessLb), words };
}
