import type { ScheduleStep } from '../../schema-types';
import { usualStages } from '../stages/stage-dates';
import { shiftDate } from '../weather/season-weather';
import type { PlanContext } from '../plan/plan-context';

/** The day of a step by the planting date, or by the stage that it names. */
export function dateOf(
	step: ScheduleStep,
	{ plantingDate, stages, station }: Pick<PlanContext, 'plantingDate' | 'stages' | 'station'>
): string {
	const stage =
		step.fromStage === undefined
			? undefined
			: usualStages({ stages, plantingDate, station }).find(({ name }) => name === step.fromStage);
	return shiftDate(stage?.date ?? plantingDate, step.daysFromPlanting);
}
