import { amountText } from '../../../units/amount-text';
import { formatNumber } from '../../../units/display';
import type { Pass, Remedy } from '../../../schema-types';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { dateOf } from '../../schedule/step-date';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { LIGHT_BELOW_CEC } from '../../../reading/soil/light-soil';
import { EARLY_SHARE } from '../../plan/usual-values';
import { RULES } from '../season-rules';

const { basis, mostShare, leastLb } = RULES['all-up-front'];

/** All of the nitrogen before planting, on ground that cannot keep it. */
export const allUpFrontCheck: SeasonCheck = (passes, context) => {
	const { schedule, products, plantingDate, units } = context;
	const why = lossPath(context);
	const inSeason = schedule?.nitrogen.filter(({ daysFromPlanting }) => daysFromPlanting > 14);
	if (!why || !schedule || schedule.usualPlanting.yearOffset < 0 || !inSeason?.[0]) return [];
	const poundsOf = (pass: Pass) => passNutrient(pass, productOf(pass, products), 'N');
	const sum = (some: readonly Pass[]) => some.reduce((all, pass) => all + poundsOf(pass), 0);
	const early = passes.filter(({ date }) => date <= plantingDate);
	if (sum(passes) < leastLb || sum(early) < mostShare * sum(passes)) return [];
	const largest = early.reduce((most, pass) => (poundsOf(pass) > poundsOf(most) ? pass : most));
	const later = { ...largest, date: dateOf(inSeason[0], context) };
	const { placements } = productOf(largest, products);
	const after: Pass = {
		...later,
		id: `${largest.id}-2`,
		label: inSeason[0].label,
		rate: largest.rate * (1 - EARLY_SHARE),
		placement: placements.includes('top-dress') ? 'top-dress' : 'injected'
	};
	const remedy: Remedy = {
		label: `A third now, the rest on ${longDate(after.date)}`,
		passes: [{ ...largest, rate: largest.rate * EARLY_SHARE }, after]
	};
	return [
		{
			rule: 'all-up-front',
			severity: 'mind',
			pass: largest.id,
			text: `${amountText(units).bare(sum(early))} of ${amountText(units)(sum(passes))} N go on before the crop needs them, on ${why}: a wet spring takes them.`,
			basis,
			remedies: placements.includes(after.placement) ? [remedy] : []
		}
	];
};

function lossPath({ sandy, cec, drainage }: PlanContext): string | undefined {
	if (sandy) return 'sandy ground';
	if (cec !== undefined && cec < LIGHT_BELOW_CEC) return `light ground (CEC ${formatNumber(cec, 'meq/100 g')})`;
	if (drainage === 'poor' || drainage === 'somewhat poor') return `wet ground (drainage ${drainage})`;
	return undefined;
}
