import type { Pass, Product } from '../../schema-types';
import { passNutrient } from './pass/pass-nutrients';
import { productOf } from './plan-context';

/** Share of a plan's nitrogen in each form as it goes on, 0 to 1. */
export interface FormShares {
	nitrate: number;
	ammonium: number;
	urea: number;
}

/**
 * The forms of nitrogen in a plan.
 * @returns undefined where it carries none, or the forms of a part are not known
 */
export function formShares(passes: readonly Pass[], products: readonly Product[]): FormShares | undefined {
	const shares = { nitrate: 0, ammonium: 0, urea: 0 };
	let all = 0;
	for (const pass of passes) {
		const product = productOf(pass, products);
		const pounds = passNutrient(pass, product, 'N');
		if (pounds === 0) continue;
		if (!product.nitrogenForms) return undefined;
		all += pounds;
		for (const form of ['nitrate', 'ammonium', 'urea'] as const) {
			shares[form] += (pounds * product.nitrogenForms[form]) / 100;
		}
	}
	if (all === 0) return undefined;
	return { nitrate: shares.nitrate / all, ammonium: shares.ammonium / all, urea: shares.urea / all };
}
