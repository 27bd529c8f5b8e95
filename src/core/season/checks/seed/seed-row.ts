import { amountText } from '../../../units/amount-text';
import type { Pass, PassCheck, Product, Remedy } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { poundsPerAcre } from '../../plan/pass/pass-nutrients';
import {
	isGuardedUrea,
	isPhosphate,
	neverWithSeed,
	phosphateLimit,
	phosphateWithSeed,
	seedRowLimit
} from '../../plan/pass/seed-row-limit';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const SLACK_LB = 1e-6;
const { guardedTimes } = RULES['seed-row'];
const BESIDE: readonly Pass['placement'][] = ['2x2 band', 'side band', 'broadcast'];

/** What must never lie with the seed, and too much salt beside it. Products of one trip add up. */
export const seedRowCheck: SeasonCheck = (passes, context) => {
	const inRow = passes.filter(({ placement }) => placement === 'seed row');
	return inRow.flatMap((pass) => {
		const product = productOf(pass, context.products);
		if (isGuardedUrea(pass, product)) return guardedUrea(pass, product, context);
		const never = neverWithSeed(product);
		if (never) return [complaint(pass, product, `${never} with the seed: none at all.`)];
		return (
			phosphateScale(pass, product, context) ??
			tooMuchPhosphate(pass, product, inRow, context) ??
			tooMuch(pass, product, inRow, context)
		);
	});
};

/** A phosphate with the seed of a crop that stands no salt: not one word, but how much does what. */
function phosphateScale(pass: Pass, product: Product, context: PlanContext): PassCheck[] | undefined {
	if (!isPhosphate(product)) return undefined;
	const pounds = poundsPerAcre(pass, product);
	const scale = phosphateWithSeed(context, pounds);
	if (!scale || scale.effect === 'harmless') return scale && [];
	const text = `${amountText(context.units)(pounds)} of ${product.name} with the seed of ${context.crop.name.toLowerCase()}: ${scale.words}.`;
	const lower = {
		label: `Lower it to ${amountText(context.units)(Math.floor(scale.mostLb))} of product`,
		passes: [{ ...pass, rate: (pass.rate * Math.floor(scale.mostLb)) / pounds }]
	};
	const severity = scale.effect === 'unsure' ? 'mind' : 'stop';
	return [{ ...complaint(pass, product, text, [lower]), severity }];
}

/** Urea that lets go or turns slowly: more of it in moist soil, no more in dry soil. */
function guardedUrea(pass: Pass, product: Product, context: PlanContext): PassCheck[] {
	const nitrogen = passNutrient(pass, product, 'N');
	const { lbAc, words } = seedRowLimit(context, pass.openerWidthIn);
	const most = lbAc * guardedTimes;
	const say = amountText(context.units);
	const what = product.slowRelease ? 'coated urea' : 'urea with a urease inhibitor';
	const text =
		lbAc === 0
			? `${say(nitrogen)} N as ${what} with the seed; ${words}.`
			: `${say(nitrogen)} N as ${what} with the seed: in moist soil about ${say(most)} do no harm, in dry soil no more than of bare urea.`;
	const check = complaint(pass, product, text);
	return [lbAc > 0 && nitrogen <= most + SLACK_LB ? { ...check, severity: 'mind' } : check];
}

/** More phosphate with the seed than the crop stands, whatever carries it. */
function tooMuchPhosphate(
	pass: Pass,
	product: Product,
	inRow: readonly Pass[],
	context: PlanContext
): PassCheck[] | undefined {
	const limit = phosphateLimit(context, pass.openerWidthIn);
	if (!limit || !isPhosphate(product)) return undefined;
	const p2o5 = (one: Pass) => passNutrient(one, productOf(one, context.products), 'P2O5');
	const together = inRow.filter(({ date }) => date === pass.date).reduce((sum, one) => sum + p2o5(one), 0);
	if (together <= limit.lbAc + SLACK_LB) return [];
	const say = amountText(context.units);
	const room = limit.lbAc - (together - p2o5(pass));
	const lower: Remedy[] =
		room > 0
			? [{ label: `Lower it to ${say(room)} of P2O5`, passes: [{ ...pass, rate: (pass.rate * room) / p2o5(pass) }] }]
			: [];
	return [complaint(pass, product, `${say(together)} of P2O5 with the seed; ${limit.words}.`, lower)];
}

function tooMuch(pass: Pass, product: Product, inRow: readonly Pass[], context: PlanContext): PassCheck[] {
	const ownLimit = phosphateLimit(context) !== undefined;
	// A phosphate with a limit of its own is held to that.
	const saltIn = (one: Pass, card: Product) =>
		ownLimit && isPhosphate(card) ? 0 : passNutrient(one, card, 'N') + passNutrient(one, card, 'K2O');
	const own = saltIn(pass, product);
	const together = inRow
		.filter(({ date }) => date === pass.date)
		.reduce((sum, one) => sum + saltIn(one, productOf(one, context.products)), 0);
	const { lbAc, words } = seedRowLimit(context, pass.openerWidthIn);
	if (own === 0 || together <= lbAc + SLACK_LB) return [];
	const text = `${amountText(context.units)(together)} of N and K2O with the seed; ${words}.`;
	const room = lbAc - (together - own);
	const lower: Remedy[] =
		room > 0
			? [
					{
						label: `Lower it to ${amountText(context.units)(room)} of N and K2O`,
						passes: [{ ...pass, rate: (pass.rate * room) / own }]
					}
				]
			: [];
	return [complaint(pass, product, text, lower)];
}

function complaint(pass: Pass, { placements }: Product, text: string, first: readonly Remedy[] = []): PassCheck {
	const elsewhere = BESIDE.filter((placement) => placements.includes(placement)).map((placement) => ({
		label: `Place it: ${placement}`,
		passes: [{ ...pass, placement }]
	}));
	return {
		rule: 'seed-row',
		severity: 'stop',
		pass: pass.id,
		text,
		basis: 'practice',
		remedies: [...first, ...elsewhere]
	};
}
