import { formatNumber } from '../../units/display';
import { passNutrient } from '../pass-nutrients';
import { productOf } from '../plan-context';
import type { SeasonCheck } from './check';

/** N + K2O in a band 2 in beside and 2 in below the seed on 30 in rows, lb/ac; judgement. */
const CEILING_LB = { usual: 80, sandy: 60 } as const;
const SLACK_LB = 1e-6;

/** Too much salt in the band beside the seed. */
export const bandBesideSeedCheck: SeasonCheck = (passes, { products, sandy }) =>
	passes.flatMap((pass) => {
		if (pass.placement !== '2x2 band') return [];
		const product = productOf(pass, products);
		const salt = passNutrient(pass, product, 'N') + passNutrient(pass, product, 'K2O');
		const ceiling = sandy ? CEILING_LB.sandy : CEILING_LB.usual;
		if (salt <= ceiling + SLACK_LB) return [];
		return [
			{
				rule: 'band-beside-seed',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${formatNumber(salt, 'lb/ac')} lb of N and K2O beside the seed; at most ${ceiling} on 30 in rows${sandy ? ' in sandy ground' : ''}.`,
				basis: 'practice' as const,
				remedies: [
					{
						label: `Lower it to ${ceiling} lb of N and K2O`,
						passes: [{ ...pass, rate: (pass.rate * ceiling) / salt }]
					}
				]
			}
		];
	});
