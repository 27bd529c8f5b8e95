import { amountText } from '../../../units/amount-text';
import type { Pass } from '../../../schema-types';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import { stageText, usualStages } from '../../stages/stage-dates';
import { usualCornLeaves, usualDayOfLeaves } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, lastLeaves, bestLeaves, leastLb, mostShare } = RULES['late-side-dress'];

/** The side-dressing of corn when its steepest uptake has begun. */
export const lateSideDressCheck: SeasonCheck = (passes, context) => {
	const { crop, products, plantingDate, station, units } = context;
	if (!hasTrait(crop, 'corn')) return [];
	const poundsOf = (pass: Pass) => passNutrient(pass, productOf(pass, products), 'N');
	const isLate = ({ date }: Pass) =>
		date > plantingDate && Math.floor(usualCornLeaves(station, plantingDate, date)) > lastLeaves;
	const sum = (some: readonly Pass[]) => some.reduce((all, pass) => all + poundsOf(pass), 0);
	// The later part of a split may come late, where most of it is in by then.
	if (sum(passes.filter((pass) => !isLate(pass))) >= mostShare * sum(passes)) return [];
	return passes.flatMap((pass) => {
		const pounds = poundsOf(pass);
		if (pounds < leastLb || !isLate(pass)) return [];
		const best = usualDayOfLeaves(station, plantingDate, bestLeaves);
		return [
			{
				rule: 'late-side-dress',
				severity: 'mind' as const,
				pass: pass.id,
				text: `On ${longDate(pass.date)} corn usually stands at ${stageText(usualStages(context), pass.date)}: ${amountText(units).ofArea(pounds, 'N')} should be in by V${lastLeaves}, best V5 to V7. Later it is a rescue by high clearance or air.`,
				basis,
				remedies: [{ label: `Move it to ${longDate(best)} (V${bestLeaves})`, passes: [{ ...pass, date: best }] }]
			}
		];
	});
};
