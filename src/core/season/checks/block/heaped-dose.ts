import { hasTrait } from '../../plan/crop-traits';
import { liesOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis } = RULES['heaped-dose'];

/** In a heap or a line at the stem few roots find it, and those are burnt: palms and avocado are fed evenly over their circle. */
export const heapedDoseCheck: SeasonCheck = (passes, { crop, products }) => {
	if (!hasTrait(crop, 'fed-over-the-circle')) return [];
	return passes
		.filter((pass) => liesOf(pass).includes('band'))
		.map((pass) => ({
			rule: 'heaped-dose',
			severity: 'stop' as const,
			pass: pass.id,
			text: `${productOf(pass, products).name} in a heap or a line burns the roots that find it, and the others get nothing: spread it evenly over the circle.`,
			basis,
			remedies: productOf(pass, products).placements.includes('broadcast')
				? [
						{
							label: 'Spread it evenly',
							passes: [{ ...pass, placement: 'broadcast' as const, depthIn: undefined, offsetIn: undefined }]
						}
					]
				: []
		}));
};
