import type { PassCheck, SeasonDay } from '../../../schema-types';
import { KG_HA_PER_LB_AC } from '../../../units/factors';
import { formatQuantity } from '../../../units/display';
import { nitrogenRoom } from '../../plan/pass/pass-ceiling';
import type { PlanContext } from '../../plan/plan-context';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { slackShare } = RULES['modelled-capacity'];

/** N that the soil can hold on a day, lb/ac, with what the season allows beside it; undefined where no limit is known. */
export function capacityOn(context: PlanContext): (date: string) => number | undefined {
	const room = nitrogenRoom({ ...context, holdingRoom: context.holdingLimit });
	return (date) => {
		const answer = room(date);
		return answer.applies ? answer.value : undefined;
	};
}

/**
 * The modelled mineral N against what the soil can hold, so that the line of the board and the rules say the same: a plan whose
 * line crosses the limit is not clean, also where organic matter and not a pass brought the last pounds.
 */
export function modelledCapacityCheck(
	{ days, unit }: { days: readonly SeasonDay[]; unit: 'lb/ac' | 'kg/ha' },
	context: PlanContext
): PassCheck[] {
	const capacity = capacityOn(context);
	const perPound = unit === 'kg/ha' ? KG_HA_PER_LB_AC : 1;
	const held = (date: string) => (capacity(date) ?? Infinity) * perPound;
	const worst = days
		.map((day) => ({ day, over: day.inGround - held(day.date) * (1 + slackShare) }))
		.reduce<{ day?: SeasonDay; over: number }>((most, one) => (one.over > most.over ? one : most), { over: 0 }).day;
	if (!worst) return [];
	return [
		{
			rule: 'modelled-capacity',
			severity: 'mind',
			text: `By the daily model ${formatQuantity(worst.inGround, unit)} of mineral N lie in the soil on ${longDate(worst.date)}, with what organic matter gave; it can hold ${formatQuantity(held(worst.date), unit)}. What is above it is lost first in a wet spell: less at once, or later.`,
			basis: 'memory',
			remedies: []
		}
	];
}
