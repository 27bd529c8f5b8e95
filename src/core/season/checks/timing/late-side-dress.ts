import type { Pass } from '../../../schema-types';
import { formatNumber } from '../../../units/display';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { usualCornLeaves, usualDayOfLeaves } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';

/** In by V8, best V5 to V7; common practice. */
const LAST_LEAVES = 8;
const BEST_LEAVES = 6;
/** Less than this is a rescue or a top-up, not the side-dressing, lb N/ac: judgement. */
const LEAST_LB = 40;
/** Of the season's nitrogen in by then, a split may bring the rest later: judgement. */
const MOST_SHARE = 0.499;

/** The side-dressing of corn when its steepest uptake has begun. */
export const lateSideDressCheck: SeasonCheck = (passes, { crop, products, plantingDate, station }) => {
	if (!hasTrait(crop, 'corn')) return [];
	const poundsOf = (pass: Pass) => passNutrient(pass, productOf(pass, products), 'N');
	const isLate = ({ date }: Pass) =>
		date > plantingDate && Math.floor(usualCornLeaves(station, plantingDate, date)) > LAST_LEAVES;
	const sum = (some: readonly Pass[]) => some.reduce((all, pass) => all + poundsOf(pass), 0);
	// The later part of a split may come late, where most of it is in by then.
	if (sum(passes.filter((pass) => !isLate(pass))) >= MOST_SHARE * sum(passes)) return [];
	return passes.flatMap((pass) => {
		const pounds = poundsOf(pass);
		if (pounds < LEAST_LB || !isLate(pass)) return [];
		const leaves = usualCornLeaves(station, plantingDate, pass.date);
		const best = usualDayOfLeaves(station, plantingDate, BEST_LEAVES);
		return [
			{
				rule: 'late-side-dress',
				severity: 'mind' as const,
				pass: pass.id,
				text: `On ${longDate(pass.date)} corn usually stands at V${Math.floor(leaves)}: ${formatNumber(pounds, 'lb/ac')} lb N/ac should be in by V${LAST_LEAVES}, best V5 to V7. Later it is a rescue by high clearance or air.`,
				basis: 'practice' as const,
				remedies: [{ label: `Move it to ${longDate(best)} (V${BEST_LEAVES})`, passes: [{ ...pass, date: best }] }]
			}
		];
	});
};
