import { amountText, quantityIn } from '../../../units/amount-text';
import type { Pass, PassCheck, Remedy } from '../../../schema-types';
import { DAY_MS } from '../../../units/factors';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { isNearSeed } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const SLACK_LB = 1e-6;
const { togetherDays } = RULES['band-beside-seed'];

/** Too much salt, or too much urea, in the bands within 3 in of the seed; all of them add up. */
export const bandBesideSeedCheck: SeasonCheck = (passes, context) => {
	const { products, limits, rowSpacingIn, plantingDate, crop } = context;
	const spacing = rowSpacingIn ?? limits.besideSeed.referenceRowIn;
	if (crop.perennial) return [];
	const near = passes.filter((pass) => {
		const ammonia = productOf(pass, products).hazards.includes('ammonia');
		const days = (Date.parse(pass.date) - Date.parse(plantingDate)) / DAY_MS;
		return days <= togetherDays && isNearSeed(pass, spacing, ammonia);
	});
	const { salt, urea } = ceilings(context);
	return near.flatMap((pass) => {
		const found = [
			overCeiling(pass, near, saltIn, salt, context),
			overCeiling(pass, near, ureaIn, urea, context)
		].filter((one) => one !== undefined);
		const [gravest] = found;
		if (!gravest) return [];
		// What is left must keep to both ceilings.
		const least = found.reduce((low, one) => (one.share < low.share ? one : low));
		return [complaint(pass, gravest, least, context)];
	});
};

type Amount = (pass: Pass, context: PlanContext) => number;

const saltIn: Amount = (pass, { products }) => {
	const product = productOf(pass, products);
	return passNutrient(pass, product, 'N') + passNutrient(pass, product, 'K2O');
};

const ureaIn: Amount = (pass, { products }) => {
	const product = productOf(pass, products);
	if (product.slowRelease) return 0;
	return (passNutrient(pass, product, 'N') * (product.nitrogenForms?.urea ?? 0)) / 100;
};

interface Ceiling {
	lbAc: number;
	what: string;
	own: boolean;
}

/** What may lie beside the seed, lb/ac: by the adviser's own ceiling or the limits, in proportion to the row spacing. */
function ceilings({
	limits: { besideSeed },
	houseRules,
	sandy,
	rowSpacingIn
}: PlanContext): Record<'salt' | 'urea', Ceiling> {
	const own = houseRules.besideSeed;
	const scale = besideSeed.referenceRowIn / (rowSpacingIn ?? besideSeed.referenceRowIn);
	const salt = (own ?? besideSeed)[sandy ? 'sandyLbAc' : 'lbAc'];
	const urea = besideSeed[sandy ? 'sandyUreaLbAc' : 'ureaLbAc'];
	return {
		salt: { lbAc: salt * scale, what: 'N and K2O', own: own !== undefined },
		urea: { lbAc: urea * scale, what: 'urea N, which turns to ammonia,', own: false }
	};
}

interface Excess extends Ceiling {
	pounds: number;
	/** Of the pass, so much may stay. */
	share: number;
	/** lb/ac that may stay. */
	room: number;
}

function overCeiling(
	pass: Pass,
	near: readonly Pass[],
	amount: Amount,
	ceiling: Ceiling,
	context: PlanContext
): Excess | undefined {
	const alone = amount(pass, context);
	const others = near
		.filter((one) => one !== pass && Math.abs(Date.parse(one.date) - Date.parse(pass.date)) <= togetherDays * DAY_MS)
		.reduce((sum, one) => sum + amount(one, context), 0);
	if (alone === 0 || alone + others <= ceiling.lbAc + SLACK_LB) return undefined;
	const room = Math.max(0, ceiling.lbAc - others);
	return { ...ceiling, pounds: alone + others, share: room / alone, room };
}

function complaint(pass: Pass, { pounds, lbAc, what, own }: Excess, least: Excess, context: PlanContext): PassCheck {
	const { limits, sandy, rowSpacingIn } = context;
	const most = amountText(context.units).bare(lbAc);
	const spacing = quantityIn(context.units, rowSpacingIn ?? limits.besideSeed.referenceRowIn, 'in');
	const lower: Remedy[] =
		least.share > 0
			? [
					{
						label: `Lower it to ${amountText(context.units)(least.room)} of ${least.what.replace(/, .*/, '')}`,
						passes: [{ ...pass, rate: pass.rate * least.share }]
					}
				]
			: [];
	return {
		rule: 'band-beside-seed',
		severity: 'stop',
		pass: pass.id,
		text: `${amountText(context.units)(pounds)} of ${what} beside the seed; at most ${most} on ${spacing} rows${sandy ? ' in sandy ground' : ''}${own ? ' (your own ceiling)' : ''}.`,
		basis: own ? 'adviser' : limits.besideSeed.basis,
		remedies: lower
	};
}
