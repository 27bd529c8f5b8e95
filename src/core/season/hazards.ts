import type { CautionList, Hazard, Pass, Product } from '../schema-types';
import { productOf } from './plan-context';

const ON_THE_SURFACE: ReadonlySet<Pass['placement']> = new Set(['broadcast', 'top-dress', 'row-base stream']);

/** Cautions that must stand beside a product as it is placed, in words. */
export function cautionsFor(
	product: Product,
	{ placement, additive }: Pick<Pass, 'placement' | 'additive'>,
	{ cautions, inhibitor }: CautionList
): string[] {
	const applies = (hazard: Hazard) => hazard !== 'surface-urea' || ON_THE_SURFACE.has(placement);
	const own = product.hazards.filter(applies).flatMap((hazard) => cautions[hazard] ?? []);
	return additive ? [...own, inhibitor] : own;
}

/** Every caution of a plan once, the general one last. */
export function planCautions(passes: readonly Pass[], products: readonly Product[], list: CautionList): string[] {
	const own = passes.flatMap((pass) => cautionsFor(productOf(pass, products), pass, list));
	return [...new Set([...own, list.always])];
}
