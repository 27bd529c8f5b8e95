import { formatNumber } from '../../units/display';
import type { Pass, PassCheck, Product, Remedy } from '../../schema-types';
import { passNutrient } from '../pass-nutrients';
import { productOf, type PlanContext } from '../plan-context';
import { seedRowLimit } from '../seed-row-limit';
import type { SeasonCheck } from './check';

const SLACK_LB = 1e-6;
const BESIDE: readonly Pass['placement'][] = ['2x2 band', 'side band', 'broadcast'];

/** What must never lie with the seed, and too much salt beside it. Products of one trip add up. */
export const seedRowCheck: SeasonCheck = (passes, context) => {
	const inRow = passes.filter(({ placement }) => placement === 'seed row');
	return inRow.flatMap((pass) => {
		const product = productOf(pass, context.products);
		const never = neverWithSeed(product);
		if (never) return [complaint(pass, product, `${never} with the seed: none at all.`)];
		return tooMuch(pass, product, inRow, context);
	});
};

function neverWithSeed({ name, nitrogenForms, sulfurForm, analysis }: Product): string | undefined {
	if ((nitrogenForms?.urea ?? 0) > 0) return `${name} holds urea, which turns to ammonia`;
	if (sulfurForm === 'thiosulfate') return `${name} is a thiosulfate and burns seed`;
	if ((analysis.B ?? 0) > 0) return `${name} holds boron, which poisons seed`;
	return undefined;
}

function tooMuch(pass: Pass, product: Product, inRow: readonly Pass[], context: PlanContext): PassCheck[] {
	const saltIn = (one: Pass, card: Product) => passNutrient(one, card, 'N') + passNutrient(one, card, 'K2O');
	const own = saltIn(pass, product);
	const together = inRow
		.filter(({ date }) => date === pass.date)
		.reduce((sum, one) => sum + saltIn(one, productOf(one, context.products)), 0);
	const { lbAc, words } = seedRowLimit(context, pass.openerWidthIn);
	if (own === 0 || together <= lbAc + SLACK_LB) return [];
	const text = `${formatNumber(together, 'lb/ac')} lb of N and K2O with the seed; ${words}.`;
	const room = lbAc - (together - own);
	const lower: Remedy[] =
		room > 0
			? [
					{
						label: `Lower it to ${formatNumber(room, 'lb/ac')} lb of N and K2O`,
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
