import type { Pass, ScheduleStep } from '../../schema-types';
import type { PlanContext } from '../plan/plan-context';
import { dateOf } from '../schedule/step-date';

/** A step of a schedule as a pass on its day. */
export function passOf(step: ScheduleStep, context: PlanContext, rate: number, unit: Pass['unit']): Pass {
	return {
		id: step.id,
		date: dateOf(step, context),
		label: step.label,
		product: step.product,
		rate,
		unit,
		placement: step.placement,
		reason: step.reason,
		...(step.fromStage === undefined ? {} : { fromStage: step.fromStage })
	};
}
