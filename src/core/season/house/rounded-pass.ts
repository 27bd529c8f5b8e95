import type { Pass, Product, Rounding } from '../../schema-types';
import { poundsPerAcre } from '../plan/pass/pass-nutrients';

/**
 * A pass at the nearest step of what is put on: liquids in gallons where a step for gallons is given, else by the unit of the pass. What
 * is less than one step stays as it is: a few pounds of boron are not rounded away.
 */
export function roundedPass(pass: Pass, { lb, gal, shortTon }: Rounding, product: Product): Pass {
	const { densityLbPerGal } = product;
	if (gal !== undefined && densityLbPerGal !== undefined && product.state === 'liquid') {
		return atStep({ ...pass, rate: poundsPerAcre(pass, product) / densityLbPerGal, unit: 'gal/ac' }, gal, pass);
	}
	if (pass.unit === 'lb/ac') return atStep(pass, lb);
	return pass.unit === 'short ton/ac' ? atStep(pass, shortTon) : pass;
}

/** So many decimals tell any step apart from the next; more is the arithmetic of fractions. */
const DECIMALS = 4;

function atStep(pass: Pass, step: number | undefined, otherwise = pass): Pass {
	if (step === undefined || pass.rate < step) return otherwise;
	return { ...pass, rate: Number((Math.round(pass.rate / step) * step).toFixed(DECIMALS)) };
}
