import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { NitrogenPass, Pass, Product } from '../schema-types';
import { passAcidity } from './pass-acidity';
import { passNutrient } from './pass-nutrients';
import { productOf } from './plan-context';

/** A pass with the day on which it was applied; null while it is a plan. */
export interface BookedPass {
	plan: Pass;
	doneOn: string | null;
}

/**
 * The nitrogen passes of a plan as the rates see them. A test in the standing crop divides the season: what is dated
 * before it counts as applied, and says so where nobody booked it.
 * @param testedOn YYYY-MM-DD, undefined where the nitrogen stands on no test
 */
export function nitrogenProgramme(
	passes: readonly BookedPass[],
	products: readonly Product[],
	plantingDate: string,
	testedOn: string | undefined
): NitrogenPass[] {
	return passes.flatMap((booked) => {
		const { plan, doneOn } = booked;
		const product = productOf(plan, products);
		const nitrogen = passNutrient(plan, product, 'N');
		if (nitrogen === 0) return [];
		const acidity = passAcidity(plan, product);
		const date = doneOn ?? plan.date;
		const unbooked = doneOn === null && isBefore(booked, testedOn);
		return [
			{
				label: unbooked ? `${plan.label} (dated before the test, not booked as applied)` : plan.label,
				nitrogen,
				placement: plan.placement,
				daysFromPlanting: differenceInCalendarDays(parseISO(date), parseISO(plantingDate)),
				applied: doneOn !== null || unbooked,
				...(acidity.applies ? { caco3: acidity.value } : {})
			}
		];
	});
}

/** Whether a pass lies before a test: booked before its day, or dated so. */
export function isBefore({ plan, doneOn }: BookedPass, testedOn: string | undefined): boolean {
	return testedOn !== undefined && (doneOn ?? plan.date) < testedOn;
}
