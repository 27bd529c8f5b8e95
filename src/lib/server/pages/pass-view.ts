import { passNutrients, passRate } from '../../../core/season/plan/pass/pass-figures';
import { passBases } from '../../../core/season/plan/pass/pass-bases';
import type { Site } from '../../../core/reading/site';
import { partText } from '../../../core/season/applied/part-text';
import { wholePass } from '../../../core/season/applied/what-happened';
import { productOf } from '../../../core/season/plan/plan-context';
import type { Product } from '../../../core/schema-types';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import type { BookedPass } from '../../../core/season/propose/nitrogen-programme';

/** A pass as the pages show it: the product's name, the rate and what it carries, in the reader's units. */
export function passView(
	{ plan, doneOn }: BookedPass,
	products: readonly Product[],
	units: UnitSystem,
	{ block, areaAc }: Partial<Pick<Site, 'block' | 'areaAc'>> = {}
) {
	const product = productOf(plan, products);
	const onItsGround = wholePass(plan);
	return {
		plan,
		part: partText(plan, areaAc, units),
		doneOn,
		productName: product.name,
		rate: inSystem(passRate(plan, product), units),
		bases: passBases(onItsGround, product, block, areaAc).map((one) => inSystem(one, units)),
		nutrients: passNutrients(onItsGround, product).map(({ nutrient, pounds }) => ({
			nutrient,
			amount: inSystem(pounds, units)
		}))
	};
}

/** What tells the units that a rate of a product is given in. */
export function measuredBy({ lime, state, densityLbPerGal }: Product) {
	return { isLime: lime !== undefined, liquid: state === 'liquid' && densityLbPerGal !== undefined };
}
