import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { NitrogenPass, Pass, Product } from '../../schema-types';
import { passAcidity } from '../plan/pass/pass-acidity';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf } from '../plan/plan-context';

/** A pass with the day on which it was applied; null while it is a plan. */
export interface BookedPass {
	plan: Pass;
	doneOn: string | null;
}

/** The nitrogen passes of a plan, planned and applied, as the rates see them. */
export function nitrogenProgramme(
	passes: readonly BookedPass[],
	products: readonly Product[],
	plantingDate: string
): NitrogenPass[] {
	return passes.flatMap(({ plan, doneOn }) => {
		const product = productOf(plan, products);
		const nitrogen = passNutrient(plan, product, 'N');
		if (nitrogen === 0) return [];
		const acidity = passAcidity(plan, product);
		const date = doneOn ?? plan.date;
		return [
			{
				label: plan.label,
				nitrogen,
				placement: plan.placement,
				date,
				daysFromPlanting: differenceInCalendarDays(parseISO(date), parseISO(plantingDate)),
				applied: doneOn !== null,
				...(acidity.applies ? { caco3: acidity.value } : {})
			}
		];
	});
}

/** Whether a pass lies before a test: booked before its day, or dated so. */
export function isBefore({ plan, doneOn }: BookedPass, testedOn: string | undefined): boolean {
	return testedOn !== undefined && (doneOn ?? plan.date) < testedOn;
}
