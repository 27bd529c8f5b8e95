import { effectiveFraction } from '../../rates/lime/liming-material';
import type { Pass, Product } from '../../schema-types';
import { NUTRIENTS, passNutrient, productFor } from '../plan/pass/pass-nutrients';

/**
 * A pass with another product at the same pounds of what the first is bought for: the nutrient it has most of, of limes what acts.
 * @returns the pass, or in words why the other product cannot stand there
 */
export function withOtherProduct(pass: Pass, from: Product, to: Product): Pass | { cannot: string } {
	if (!to.placements.includes(pass.placement)) {
		return { cannot: `${to.name} is not put on as ${pass.label} is (${pass.placement})` };
	}
	if (from.lime && to.lime) {
		const [acts, other] = [effectiveFraction(from.lime), effectiveFraction(to.lime)];
		if (!acts.applies || !other.applies) return { cannot: `how much of ${to.name} acts is not known` };
		return { ...pass, product: to.id, rate: (pass.rate * acts.value) / other.value };
	}
	const [leading] = [...NUTRIENTS].sort((a, b) => (from.analysis[b] ?? 0) - (from.analysis[a] ?? 0));
	if (!leading || !from.analysis[leading] || !to.analysis[leading]) {
		return { cannot: `${to.name} supplies no ${leading ?? 'nutrient'}, which ${from.name} is bought for` };
	}
	const pounds = productFor(passNutrient(pass, from, leading), to, leading);
	const inGallons = pass.unit === 'gal/ac' && to.densityLbPerGal !== undefined;
	return inGallons
		? { ...pass, product: to.id, rate: pounds / to.densityLbPerGal! }
		: { ...pass, product: to.id, rate: pounds, unit: 'lb/ac' };
}
