import type { Pass, Remedy } from '../../../schema-types';
import { quantityIn } from '../../../units/amount-text';
import { formatNumber } from '../../../units/display';
import { mostSprayPercent, mostSprayWater, sprayStrength, sprayWater } from './spray-strength';
import { tripOf } from '../../plan/trips';
import { productOf, type PlanContext } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';

/** A spray that is too strong burns the leaves; what goes with it in one trip is in the same water. */
export const leafSprayStrengthCheck: SeasonCheck = (passes, context) => {
	const sprays = passes.filter(({ placement }) => placement === 'leaf');
	return sprays.flatMap((pass) => {
		const together = tripOf(pass, sprays);
		const shares = new Map(together.map((one) => [one.id, shareOfMost(one, together, context)]));
		const share = [...shares.values()].reduce((sum, one) => sum + one, 0);
		if (share <= 1 + 1e-9) return [];
		const { crop, products, units } = context;
		const product = productOf(pass, products);
		const strength = sprayStrength(pass, product, crop, together);
		const percent = formatNumber(strength.value, '%');
		const water = sprayWater(together, crop).value;
		const beside = together.length > 1 ? ', and there is more in the tank' : '';
		return [
			{
				rule: 'leaf-spray-strength',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${product.name} is ${percent} % of a spray in ${quantityIn(units, water, 'gal/ac')} of water${beside}: above ${mostSprayPercent(product, crop)} % it burns leaves of ${crop.name.toLowerCase()}.`,
				basis: strength.basis,
				remedies: [...moreWater(pass, water * share, context), ...lessProduct(pass, shares.get(pass.id)!, share - 1)]
			}
		];
	});
};

/** Strength as a part of the strongest that leaves stand. */
function shareOfMost(pass: Pass, together: readonly Pass[], { crop, products }: PlanContext): number {
	const product = productOf(pass, products);
	return sprayStrength(pass, product, crop, together).value / mostSprayPercent(product, crop);
}

/** Where the sprayer can put it on. */
function moreWater(pass: Pass, galAc: number, { crop, units }: PlanContext): Remedy[] {
	const waterGalAc = Math.ceil(galAc);
	if (waterGalAc > mostSprayWater(crop)) return [];
	return [
		{ label: `Spray it in ${quantityIn(units, waterGalAc, 'gal/ac')} of water`, passes: [{ ...pass, waterGalAc }] }
	];
}

/** Where the rest of the tank leaves it room. */
function lessProduct(pass: Pass, own: number, over: number): Remedy[] {
	if (over >= own) return [];
	return [{ label: 'Cut it to what leaves stand', passes: [{ ...pass, rate: (pass.rate * (own - over)) / own }] }];
}
