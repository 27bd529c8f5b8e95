import { passNutrients, passRate } from '../../../core/season/plan/pass/pass-figures';
import { passBases } from '../../../core/season/plan/pass/pass-bases';
import type { Site } from '../../../core/reading/site';
import { productOf } from '../../../core/season/plan/plan-context';
import type { Product } from '../../../core/schema-types';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import type { PassRecord } from '../stores/field-years';

/** A pass as the pages show it: the product's name, the rate and what it carries, in the reader's units. */
export function passView(
	{ plan, doneOn }: PassRecord,
	products: readonly Product[],
	units: UnitSystem,
	{ block, areaAc }: Partial<Pick<Site, 'block' | 'areaAc'>> = {}
) {
	const product = productOf(plan, products);
	return {
		plan,
		doneOn,
		productName: product.name,
		rate: inSystem(passRate(plan, product), units),
		bases: passBases(plan, product, block, areaAc).map((one) => inSystem(one, units)),
		nutrients: passNutrients(plan, product).map(({ nutrient, pounds }) => ({
			nutrient,
			amount: inSystem(pounds, units)
		}))
	};
}
