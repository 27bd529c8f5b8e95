import { quantityIn } from '../../../units/amount-text';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { liesOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, leastIn, safeIn } = RULES['crown-distance'];

/** A band at the crowns of a perennial burns them: beside the row means off the crown. */
export const crownDistanceCheck: SeasonCheck = (passes, { crop, products, units }) => {
	if (!crop.perennial) return [];
	const depth = (inches: number) => quantityIn(units, inches, 'in');
	return passes.flatMap((pass) => {
		const product = productOf(pass, products);
		const salt = passNutrient(pass, product, 'N') + passNutrient(pass, product, 'K2O');
		const atCrown = pass.placement === 'seed row' || pass.placement === '2x2 band';
		const away = pass.offsetIn ?? (atCrown ? 0 : safeIn);
		if (salt === 0 || !liesOf(pass).includes('band') || away >= leastIn) return [];
		return [
			{
				rule: 'crown-distance',
				severity: 'mind' as const,
				pass: pass.id,
				text: `A band of ${product.name} ${depth(away)} from the row lies at the crowns and burns them: ${depth(leastIn)} off at the least, better ${depth(safeIn)}.`,
				basis,
				remedies: [
					{
						label: `Put it ${depth(safeIn)} beside the row`,
						passes: [{ ...pass, placement: atCrown ? ('side band' as const) : pass.placement, offsetIn: safeIn }]
					}
				]
			}
		];
	});
};
