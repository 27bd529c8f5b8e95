import type { Shape } from '../../../../core/ground/shapes/shape';
import type { RateNutrient, TrialPlan } from '../../../../core/schema-types';
import { RATE_NUTRIENTS } from '../../../../core/rates/advise';
import type { TrialGround } from '../../../../core/trials/design/design-cautions';
import { usUnitOf } from '../../../../core/trials/design/level-units';
import { rateFactor } from '../../../../core/trials/design/treatments';
import { ActionError } from '../../book/action-error';
import type { Desk } from '../../desk';
import { listZones } from '../../stores/ground-maps';
import { trialsOnField, type BookTrial } from '../../stores/trials';
import type { FieldYear } from '../field-year';
import { boundaryOf } from '../zones/boundary-of';

/** The nutrient whose rates a trial tries: by the unit of its factor, as "lb N/ac" or "kg N/ha". */
export function triedNutrient(plan: Pick<TrialPlan, 'factors'>): RateNutrient | undefined {
	const unit = usUnitOf(rateFactor(plan)?.unit ?? '');
	return RATE_NUTRIENTS.find((nutrient) => unit === `lb ${nutrient}/ac`);
}

/**
 * The boundary that a trial is laid out in.
 * @throws ActionError where there is none
 */
export function trialBoundary({ field }: FieldYear): Shape {
	const boundary = boundaryOf(field);
	if (boundary) return boundary;
	throw new ActionError(`${field.name} has no boundary yet; draw it under Map and zones, then lay out the trial.`);
}

/** What else is known of the field that a trial lies on. */
export function groundOfTrial(desk: Desk, fieldYear: FieldYear, plan: TrialPlan, own?: BookTrial): TrialGround {
	const { field, year, advice, goal } = fieldYear;
	const nutrient = triedNutrient(plan);
	const rates = (advice?.answer.rates ?? []).flatMap((rate) =>
		rate.nutrient === nutrient && rate.worksheet.applies ? [rate.worksheet.value] : []
	);
	return {
		units: field.units,
		zones: listZones(desk.book, field.id),
		earlier: trialsOnField(desk.book, field.id)
			.filter((trial) => trial.id !== own?.id && trial.year <= year)
			.map(({ plan: { name }, year: of, plots }) => ({ name, year: of, plots })),
		advised: rates.length > 0 ? { least: Math.min(...rates), most: Math.max(...rates) } : undefined,
		yieldGoal: goal?.yield_goal
	};
}
