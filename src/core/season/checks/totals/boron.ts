import { amountText } from '../../../units/amount-text';
import { hasTrait } from '../../plan/crop-traits';
import { carried } from '../../plan/pass/carried';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { ceilingLb } = RULES['boron-ceiling'];

/** Too much boron, and boron beside the seed. */
export const boronCheck: SeasonCheck = (passes, context) => {
	const withBoron = passes.filter((pass) => (productOf(pass, context.products).analysis.B ?? 0) > 0);
	const total = carried(passes, 'B', context);
	const ceiling = hasTrait(context.crop, 'demands-boron') ? ceilingLb.demanding : ceilingLb.usual;
	const share = ceiling / total;
	return [
		...(total > ceiling + 1e-9
			? withBoron.map((pass) => ({
					rule: 'boron-ceiling',
					severity: 'stop' as const,
					pass: pass.id,
					text: `${amountText(context.units).ofArea(total, 'B')} is over the ${amountText(context.units)(ceiling)} that ${context.crop.name.toLowerCase()} stands; boron is narrow between short and toxic.`,
					basis: 'practice' as const,
					remedies: [
						{
							label: `Cut it to ${amountText(context.units).ofArea(ceiling, 'B')}`,
							passes: [{ ...pass, rate: pass.rate * share }]
						}
					]
				}))
			: []),
		...withBoron
			.filter(({ placement }) => placement === '2x2 band')
			.map((pass) => ({
				rule: 'boron-by-seed',
				severity: 'stop' as const,
				pass: pass.id,
				text: 'Boron beside the seed burns it.',
				basis: 'practice' as const,
				remedies: [{ label: 'Broadcast it', passes: [{ ...pass, placement: 'broadcast' as const }] }]
			}))
	];
};
