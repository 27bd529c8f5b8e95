import type { TrialPlan, TrialPlot } from '../../schema-types';
import { treatmentOf } from '../analysis/plots';
import { usLevel, usUnitOf } from './level-units';

export type Levels = Record<string, string>;

/** Every treatment of a plan: all combinations of the levels of its factors. */
export function treatmentsOf({ factors }: Pick<TrialPlan, 'factors'>): Levels[] {
	return factors.reduce<Levels[]>(
		(some, { name, levels }) => some.flatMap((one) => levels.map((level) => ({ ...one, [name]: level }))),
		[{}]
	);
}

/** Treatments by their names, in the plan's order. */
export function treatmentNames(plan: Pick<TrialPlan, 'factors'>): string[] {
	return treatmentsOf(plan).map((levels) => treatmentOf({ levels }));
}

/** The factor whose levels are rates, all numbers of zero or more with a unit; undefined where there is none. */
export function rateFactor({ factors }: Pick<TrialPlan, 'factors'>): TrialPlan['factors'][number] | undefined {
	return factors.find(({ unit, levels }) => unit && levels.every((level) => Number(level) >= 0));
}

/** Whether rates of nitrogen are all that is tried, so that a response curve goes through the plots. */
export function triesNitrogenAlone(plan: Pick<TrialPlan, 'factors'>): boolean {
	return plan.factors.length === 1 && usUnitOf(rateFactor(plan)?.unit ?? '') === 'lb N/ac';
}

/** The rate on a plot by the factor that has rates, in the unit of the book: lb, gal or short tons per acre. */
export function rateOf(plan: Pick<TrialPlan, 'factors'>, { levels }: Pick<TrialPlot, 'levels'>): number | undefined {
	const factor = rateFactor(plan);
	return factor && usLevel(factor, levels[factor.name]!);
}
