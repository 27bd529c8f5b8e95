import type { CautionList, Hazard, Pass, Product } from '../../schema-types';
import { goesWithTheWater, isOnSurface } from './placement-facts';
import { productOf } from './plan-context';

/** Cautions that must stand beside a product as it is placed, in words. */
export function cautionsFor(
	product: Product,
	{ placement, additive }: Pick<Pass, 'placement' | 'additive'>,
	{ cautions, inhibitor, seedRow, irrigation }: CautionList
): string[] {
	const applies = (hazard: Hazard) => hazard !== 'surface-urea' || isOnSurface({ placement });
	const own = product.hazards.filter(applies).flatMap((hazard) => cautions[hazard] ?? []);
	return [
		...own,
		...(additive ? [inhibitor] : []),
		...(placement === 'seed row' ? [seedRow] : []),
		...(goesWithTheWater({ placement }) ? [irrigation] : [])
	];
}

/** Every caution of a plan once, the general one last. */
export function planCautions(passes: readonly Pass[], products: readonly Product[], list: CautionList): string[] {
	const own = passes.flatMap((pass) => cautionsFor(productOf(pass, products), pass, list));
	return [...new Set([...own, list.always])];
}
