import type { Pass, Product } from '../../../schema-types';
import { passNutrient, productFor } from '../../plan/pass/pass-nutrients';

/** The same nitrogen in another product; undefined where the catalogue lacks it, or the pass is not for its nitrogen alone. */
export function nitrogenIn(
	pass: Pass,
	product: Product,
	id: string,
	products: readonly Product[],
	change: Partial<Pass> = {}
): Pass | undefined {
	const other = products.find((one) => one.id === id);
	const alone = (product.analysis.N ?? 0) > 0 && !product.analysis.P2O5 && !product.analysis.K2O;
	if (!other || !alone) return undefined;
	return {
		...pass,
		product: other.id,
		rate: productFor(passNutrient(pass, product, 'N'), other, 'N'),
		unit: 'lb/ac',
		additive: undefined,
		...change
	};
}
