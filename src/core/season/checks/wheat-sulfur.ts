import { formatNumber } from '../../units/display';
import { DAY_MS } from '../../units/factors';
import type { Pass } from '../../schema-types';
import { passNutrient } from '../pass-nutrients';
import { productOf } from '../plan-context';
import type { SeasonCheck } from './check';
import { movedTo } from './moved';

const WHEAT: ReadonlySet<string> = new Set(['winter-wheat', 'spring-wheat']);
/** What phosphate or zinc carries along is no dressing, lb/ac: judgement. */
const LEAST_LB = { N: 20, S: 5 } as const;
/** So near the first nitrogen is with it, days. */
const WITHIN_DAYS = 4;

/** Wheat wants its sulfur with the first nitrogen of spring. */
export const wheatSulfurCheck: SeasonCheck = (passes, { crop, products }) => {
	if (!WHEAT.has(crop.id)) return [];
	const carries = (pass: Pass, nutrient: 'N' | 'S') => passNutrient(pass, productOf(pass, products), nutrient);
	const isSpring = ({ date }: Pass) => Number(date.slice(5, 7)) < 8;
	const first = passes
		.filter((pass) => isSpring(pass) && carries(pass, 'N') > LEAST_LB.N)
		.reduce<Pass | undefined>((early, pass) => (early && early.date <= pass.date ? early : pass), undefined);
	if (!first) return [];
	return passes.flatMap((pass) => {
		const late = (Date.parse(pass.date) - Date.parse(first.date)) / DAY_MS;
		if (!isSpring(pass) || carries(pass, 'S') < LEAST_LB.S || late <= WITHIN_DAYS) return [];
		return [
			{
				rule: 'wheat-sulfur',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${formatNumber(carries(pass, 'S'), 'lb/ac')} lb S come ${late} days after the first nitrogen of spring; wheat wants them with it.`,
				basis: 'practice' as const,
				remedies: [movedTo(pass, first.date, 'with the first nitrogen')]
			}
		];
	});
};
