import type { Pass, Product } from '../../../schema-types';
import { KG_PER_LB } from '../../../units/factors';
import { hasTrait } from '../crop-traits';
import type { PlanContext } from '../plan-context';

/** What one cup holds, kg: common practice of estates, which cut cups to half and quarter kilograms. */
export const CUP_KG = 0.25;
/** Of its own size a dose this near to whole cups is measured in them. */
const NEAR = 0.01;

type Palms = Pick<PlanContext, 'crop' | 'plantsPerAc'>;

/**
 * One cup of product to each palm, lb/ac.
 * @returns undefined for other crops, or where the palms on an acre are not known
 */
export function cupLbAc({ crop, plantsPerAc }: Palms): number | undefined {
	return hasTrait(crop, 'palm') && plantsPerAc !== undefined ? (CUP_KG / KG_PER_LB) * plantsPerAc : undefined;
}

/** Whether a pass is measured out to palms by hand: dry product by the pound, over the whole block. */
export function isCupped({ unit, placement }: Pick<Pass, 'unit' | 'placement'>, { state }: Product): boolean {
	return unit === 'lb/ac' && state === 'dry' && placement !== 'leaf';
}

/** Cups to each palm: whole numbers where the dose can be measured, else between them. */
export function cupsOf(lbAc: number, cup: number): { cups: number; whole: boolean } {
	const cups = lbAc / cup;
	const nearest = Math.round(cups);
	return nearest > 0 && Math.abs(cups - nearest) <= NEAR * cups
		? { cups: nearest, whole: true }
		: { cups, whole: false };
}

/**
 * The rounds of each product in whole cups: what one round leaves over goes into the next, so that the last takes up the rounding of the
 * year. A round of less than half a cup is left to the next one.
 */
export function inCups(passes: readonly Pass[], context: Palms & Pick<PlanContext, 'products'>): Pass[] {
	const cup = cupLbAc(context);
	if (cup === undefined) return [...passes];
	const owed = new Map<string, number>();
	const last = new Map(passes.map((pass) => [pass.product, pass.id]));
	return passes.flatMap((pass) => {
		const product = context.products.find(({ id }) => id === pass.product);
		if (!product || !isCupped(pass, product)) return [pass];
		const wanted = pass.rate + (owed.get(pass.product) ?? 0);
		// The only or last round is not lost: one cup is the least.
		const least = last.get(pass.product) === pass.id && !owed.has(pass.product) ? 1 : 0;
		const cups = Math.max(least, Math.round(wanted / cup));
		owed.set(pass.product, wanted - cups * cup);
		return cups === 0 ? [] : [{ ...pass, rate: cups * cup }];
	});
}
