import { formatNumber } from '../../../units/display';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { depthOf, liesOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';

/** From here on a band of urea N is risky, lb/ac, and from here on heavy: it thins a stand and loses more than a broadcast. Practice. */
const RISKY_LB = 50;
const HEAVY_LB = 100;
/** Above this it is shallow, and from here on safe, in: Rochette and co-workers 2013 (5 and 7.5 cm, memory). */
const SHALLOW_IN = 2;
const SAFE_IN = 3;

/** A heavy band of urea so shallow that it loses more than a broadcast, and burns roots. */
export const shallowUreaBandCheck: SeasonCheck = (passes, { products }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (liesOf(pass) !== 'band' || !product.nitrogenForms || product.slowRelease) return [];
		const urea = (passNutrient(pass, product, 'N') * product.nitrogenForms.urea) / 100;
		const depth = depthOf(pass);
		if (urea < RISKY_LB || depth > SHALLOW_IN) return [];
		return [
			{
				rule: 'shallow-urea-band',
				severity: urea < HEAVY_LB ? ('mind' as const) : ('stop' as const),
				pass: pass.id,
				text: `${formatNumber(urea, 'lb/ac')} lb of urea N in a band ${formatNumber(depth, 'in')} in deep${urea < HEAVY_LB ? ': the risk to stand and of ammonia loss rises from about 50 lb' : ' can lose more than a broadcast, thins the stand and, from 200 lb, prunes roots'}.`,
				basis: 'memory' as const,
				remedies: [{ label: `Put it ${SAFE_IN} in deep`, passes: [{ ...pass, depthIn: SAFE_IN }] }]
			}
		];
	});
