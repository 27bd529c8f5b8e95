import type { PlanContext, SecondPlan } from '../plan/plan-context';
import { shiftDate } from '../weather/season-weather';
import { usualStages, type StageDate } from './stage-dates';

/** What goes on so many days before a second crop is planted goes on for it: common practice, between the two there is no time for more. */
const BEFORE_PLANTING_DAYS = 7;

/** The day from which passes go on for the second crop of a year. */
export function secondCropFrom({ plantingDate }: Pick<SecondPlan, 'plantingDate'>): string {
	return shiftDate(plantingDate, -BEFORE_PLANTING_DAYS);
}

/** The usual stages over a year, by which its passes are dated: those of the first crop, then of the second. */
export function stagesOfYear(context: PlanContext): readonly StageDate[] {
	const first = usualStages(context);
	const { second, station } = context;
	if (!second) return first;
	const from = secondCropFrom(second);
	const planting = { name: `${second.crop.name.toLowerCase()} planting`, date: from };
	const own = usualStages({ ...second, station }).filter(({ date }) => date > second.plantingDate);
	return [...first.filter(({ date }) => date < from), planting, ...own];
}
