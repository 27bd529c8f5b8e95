import { amountText, quantityIn } from '../../../units/amount-text';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { depthOf, liesOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, riskyLb, heavyLb, pruningLb, shallowIn, safeIn } = RULES['shallow-urea-band'];

/** A heavy band of urea so shallow that it loses more than a broadcast, and burns roots. */
export const shallowUreaBandCheck: SeasonCheck = (passes, { products, units }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (liesOf(pass) !== 'band' || !product.nitrogenForms || product.slowRelease) return [];
		const urea = (passNutrient(pass, product, 'N') * product.nitrogenForms.urea) / 100;
		const depth = depthOf(pass);
		if (urea < riskyLb || depth > shallowIn) return [];
		return [
			{
				rule: 'shallow-urea-band',
				severity: urea < heavyLb ? ('mind' as const) : ('stop' as const),
				pass: pass.id,
				text: `${amountText(units)(urea)} of urea N in a band ${quantityIn(units, depth, 'in')} deep${urea < heavyLb ? `: the risk to stand and of ammonia loss rises from about ${amountText(units)(riskyLb, 'whole')}` : ` can lose more than a broadcast, thins the stand and, from ${amountText(units)(pruningLb, 'whole')}, prunes roots`}.`,
				basis,
				remedies: [{ label: `Put it ${quantityIn(units, safeIn, 'in')} deep`, passes: [{ ...pass, depthIn: safeIn }] }]
			}
		];
	});
