import { formatNumber } from '../../units/display';
import { passNutrient } from '../pass-nutrients';
import { productOf } from '../plan-context';
import type { SeasonCheck } from './check';

const SLACK_LB = 1e-6;

/** Too much salt in the band beside and below the seed; what goes on in one trip adds up. */
export const bandBesideSeedCheck: SeasonCheck = (
	passes,
	{ products, sandy, limits: { besideSeed }, houseRules, rowSpacingIn }
) => {
	const saltIn = (pass: (typeof passes)[number]) => {
		const product = productOf(pass, products);
		return passNutrient(pass, product, 'N') + passNutrient(pass, product, 'K2O');
	};
	const own = houseRules.besideSeed;
	const spacing = rowSpacingIn ?? besideSeed.referenceRowIn;
	const lbAc = (own ?? besideSeed)[sandy ? 'sandyLbAc' : 'lbAc'];
	const ceiling = (lbAc * besideSeed.referenceRowIn) / spacing;
	const banded = passes.filter(({ placement }) => placement === '2x2 band');
	return banded.flatMap((pass) => {
		const salt = saltIn(pass);
		const others = banded
			.filter((one) => one !== pass && one.date === pass.date)
			.reduce((sum, one) => sum + saltIn(one), 0);
		if (salt === 0 || salt + others <= ceiling + SLACK_LB) return [];
		const room = ceiling - others;
		const most = formatNumber(ceiling, 'lb/ac');
		return [
			{
				rule: 'band-beside-seed',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${formatNumber(salt + others, 'lb/ac')} lb of N and K2O beside the seed; at most ${most} on ${formatNumber(spacing, 'in')} in rows${sandy ? ' in sandy ground' : ''}${own ? ' (your own ceiling)' : ''}.`,
				basis: own ? ('adviser' as const) : besideSeed.basis,
				remedies:
					room > 0
						? [
								{
									label: `Lower it to ${formatNumber(room, 'lb/ac')} lb of N and K2O`,
									passes: [{ ...pass, rate: (pass.rate * room) / salt }]
								}
							]
						: []
			}
		];
	});
};
