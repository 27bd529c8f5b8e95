import { placementName } from '../../../units/placement-name';
import { maySuggestSeedRow } from '../../plan/pass/seed-row-limit';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';

/** A product put where its card does not allow it. */
export const placementCheck: SeasonCheck = (passes, { products }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (product.placements.includes(pass.placement)) return [];
		return [
			{
				rule: 'placement',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${product.name} is not made for ${placementName(pass.placement)}; it goes ${product.placements.map(placementName).join(', ')}.`,
				basis: product.basis,
				remedies: product.placements
					.filter((placement) => placement !== 'seed row' || maySuggestSeedRow(product))
					.map((placement) => ({
						label: `Place it: ${placement}`,
						passes: [{ ...pass, placement }]
					}))
			}
		];
	});
