import { hasTrait } from '../../plan/crop-traits';
import { productFor, passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { plainUrea } from '../../plan/usual-source';
import { usualCornLeaves } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, rescueLeaves } = RULES['coated-rescue'];

/** Coated nitrogen put on when the crop wants it at once. */
export const coatedRescueCheck: SeasonCheck = (passes, { crop, products, plantingDate, station }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (!product.slowRelease || !hasTrait(crop, 'corn') || pass.date <= plantingDate) return [];
		if (usualCornLeaves(station, plantingDate, pass.date) < rescueLeaves) return [];
		const urea = plainUrea(products);
		const pounds = passNutrient(pass, product, 'N');
		return [
			{
				rule: 'coated-rescue',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${product.name} gives its nitrogen over weeks; on ${longDate(pass.date)} corn wants it at once.`,
				basis,
				remedies: urea
					? [
							{
								label: `Take ${urea.name} with a urease inhibitor`,
								passes: [
									{
										...pass,
										product: urea.id,
										rate: productFor(pounds, urea, 'N'),
										unit: 'lb/ac' as const,
										additive: 'urease inhibitor' as const
									}
								]
							}
						]
					: []
			}
		];
	});
