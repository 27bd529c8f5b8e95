import { perYieldOf } from '../../../units/rate-units';
import { amountText, quantityIn } from '../../../units/amount-text';
import { programmeFault } from '../../../rates/nitrogen/placed-programme';
import type { Remedy } from '../../../schema-types';
import { nitrogenProgramme } from '../../propose/nitrogen-programme';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { placedSchedule } from '../../propose/placed-schedule';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { proposeProgramme } from '../../propose/propose-programme';
import type { SeasonCheck } from '../check';

/** A rate by the low factor for placed and timed nitrogen, put on in another way. */
export const placedFactorCheck: SeasonCheck = (passes, context) => {
	const { placed, products, plantingDate, yieldGoal, crop, units } = context;
	if (!placed) return [];
	const booked = passes.map((plan) => ({ plan, doneOn: null }));
	const programme = nitrogenProgramme(booked, products, plantingDate);
	if (programme.length === 0) return [];
	const fault = programmeFault(programme, placed.parameters, amountText(units));
	if (!fault) return [];
	const { factor } = placed.parameters;
	const rate = factor * yieldGoal;
	const [largest] = [...passes].sort((a, b) => nitrogenIn(b, context) - nitrogenIn(a, context));
	return [
		{
			rule: 'placed-factor',
			severity: 'stop',
			pass: largest!.id,
			text: `${amountText(units)(rate)} N is ${quantityIn(units, factor, `lb per ${perYieldOf(crop)}`)}, which holds for a starter and the rest at the row base only: ${fault}. Put on so, the crop goes short; place it, or take a rate for this plan.`,
			basis: 'practice',
			remedies: placedRemedy(largest!, passes, context)
		}
	];
};

function nitrogenIn(pass: Parameters<typeof passNutrient>[0] & { product: string }, { products }: PlanContext): number {
	return passNutrient(pass, productOf(pass, products), 'N');
}

/** The largest pass put on as the factor asks; none where the other passes stand in the way of it. */
function placedRemedy(
	largest: Parameters<SeasonCheck>[0][number],
	passes: Parameters<SeasonCheck>[0],
	context: PlanContext
): Remedy[] {
	const { schedule, placed, products, plantingDate } = context;
	const others = passes.filter((pass) => pass !== largest);
	const broadcast = others
		.filter(({ placement }) => placement === 'broadcast')
		.reduce((sum, pass) => sum + nitrogenIn(pass, context), 0);
	const asAsked = schedule && placedSchedule(schedule, placed!.parameters, broadcast);
	if (!asAsked) return [];
	const chosen = { N: nitrogenIn(largest, context) };
	const applied: typeof context.applied = [];
	const proposed = proposeProgramme({ ...context, schedule: asAsked, chosen, applied, starter: undefined }).passes;
	const booked = [...others, ...proposed].map((plan) => ({ plan, doneOn: null }));
	if (programmeFault(nitrogenProgramme(booked, products, plantingDate), placed!.parameters, amountText(context.units)))
		return [];
	const reason = 'Placed as the factor asks.';
	const [first, ...rest] = proposed.map((pass) => ({ ...pass, reason: `${pass.reason} ${reason}`.trim() }));
	return first ? [{ label: 'Starter and row base', passes: [{ ...first, id: largest.id }, ...rest] }] : [];
}
