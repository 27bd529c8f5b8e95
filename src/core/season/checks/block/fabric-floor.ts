import type { Pass, Remedy } from '../../../schema-types';
import { productOf, type PlanContext } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';
import { nitrogenIn } from './instead-of';

const { basis } = RULES['fabric-floor'];
/** What reaches roots under fabric, or needs no root. */
const REACHES: readonly Pass['placement'][] = ['drip', 'leaf', 'injected'];

/** Under landscape fabric only what goes with the water reaches the roots. */
export const fabricFloorCheck: SeasonCheck = (passes, context) => {
	if (context.block?.floor !== 'landscape fabric') return [];
	// In the year of planting it is laid when the canes are planted.
	const laid = context.plantAge === 1 ? context.plantingDate : '';
	return passes
		.filter(({ placement, date }) => date >= laid && !REACHES.includes(placement))
		.map((pass) => ({
			rule: 'fabric-floor',
			severity: 'stop' as const,
			pass: pass.id,
			text: 'The rows lie under landscape fabric: what is spread stays on top of it. Give it with the water.',
			basis,
			remedies: withTheWater(pass, context)
		}));
};

function withTheWater(pass: Pass, { products }: PlanContext): Remedy[] {
	const product = productOf(pass, products);
	const placed = { placement: 'drip' as const, depthIn: undefined, offsetIn: undefined };
	if (product.placements.includes('drip')) return [{ label: 'Give it by drip', passes: [{ ...pass, ...placed }] }];
	const dissolved = nitrogenIn(pass, product, 'uan-32', products, placed);
	return dissolved ? [{ label: 'Give its nitrogen by drip as UAN-32', passes: [dissolved] }] : [];
}
