import { hasTrait } from '../../plan/crop-traits';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';
import { nitrogenIn } from './instead-of';

const { basis } = RULES['palm-urea'];

/** Urea for palms only by hand on clean circles: on stacked fronds it volatilizes. */
export const palmUreaCheck: SeasonCheck = (passes, { crop, products }) => {
	if (!hasTrait(crop, 'palm')) return [];
	return passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (product.id !== 'urea' || !isOnSurface(pass) || pass.additive !== undefined) return [];
		const instead = nitrogenIn(pass, product, 'ammonium-sulfate', products);
		return [
			{
				rule: 'palm-urea',
				severity: 'mind' as const,
				pass: pass.id,
				text: 'Urea for palms only by hand on clean circles, never on frond stacks: there it volatilizes.',
				basis,
				remedies: instead ? [{ label: 'Take ammonium sulfate for the same nitrogen', passes: [instead] }] : []
			}
		];
	});
};
