import { formatNumber } from '../../units/display';
import { passNutrient } from '../pass-nutrients';
import { depthOf, liesOf } from '../placement-facts';
import { productOf } from '../plan-context';
import type { SeasonCheck } from './check';

/** A band of so much urea N is heavy, lb/ac; it thins a stand and loses ammonia where it lies shallow. */
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
		if (urea < HEAVY_LB || depth > SHALLOW_IN) return [];
		return [
			{
				rule: 'shallow-urea-band',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${formatNumber(urea, 'lb/ac')} lb of urea N in a band ${formatNumber(depth, 'in')} in deep can lose more than a broadcast, thins the stand and, from 200 lb, prunes roots.`,
				basis: 'memory' as const,
				remedies: [{ label: `Put it ${SAFE_IN} in deep`, passes: [{ ...pass, depthIn: SAFE_IN }] }]
			}
		];
	});
