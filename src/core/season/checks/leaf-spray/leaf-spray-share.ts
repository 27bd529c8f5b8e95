import type { Nutrient } from '../../../schema-types';
import { amountText } from '../../../units/amount-text';
import { formatNumber } from '../../../units/display';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, smallShare } = RULES['leaf-spray-share'];
/** What a crop takes by the tens of pounds, so that leaves can take in little of it. */
const BULK = ['N', 'P2O5', 'K2O'] as const satisfies readonly Nutrient[];

/** What part of a crop's N, P2O5 or K2O a leaf spray can be: mostly too little to count on. */
export const leafSprayShareCheck: SeasonCheck = (passes, { chosen, products, units }) =>
	passes.flatMap((pass) => {
		if (pass.placement !== 'leaf') return [];
		const product = productOf(pass, products);
		return BULK.flatMap((nutrient) => {
			const given = passNutrient(pass, product, nutrient);
			const wanted = chosen[nutrient] ?? 0;
			if (given === 0 || wanted === 0 || given >= smallShare * wanted) return [];
			return [
				{
					rule: 'leaf-spray-share',
					severity: 'note' as const,
					pass: pass.id,
					text: `The spray brings ${amountText(units).ofArea(given, nutrient)}, ${formatNumber((100 * given) / wanted, '%')} % of what is chosen: it tides the crop over or lifts its protein, and does not stand for a rate to the soil.`,
					basis,
					remedies: []
				}
			];
		});
	});
