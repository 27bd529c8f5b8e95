import type { PlacedParameters } from '../../rates/nitrogen/placed-factor';
import type { Schedule, ScheduleStep } from '../../schema-types';

/**
 * A crop's schedule with the nitrogen steps alone that a placed-and-timed factor allows: the starter beside the row,
 * no more than the factor's limit, then the passes at the row base from the day it names.
 * @param broadcastN lb N/ac that other passes broadcast, such as a phosphate: they count towards the starter
 * @returns undefined where the schedule has no such steps, or no starter is left
 */
export function placedSchedule(schedule: Schedule, p: PlacedParameters, broadcastN = 0): Schedule | undefined {
	const allows = (places: readonly string[]) => (step: ScheduleStep) => places.includes(step.placement);
	const starter = schedule.nitrogen.find(allows(p.starterPlacements));
	const later = schedule.nitrogen
		.filter(allows(p.placements))
		.filter(({ daysFromPlanting }) => daysFromPlanting >= p.earliestDaysFromPlanting)
		.slice(0, p.mostPasses);
	const maxN = p.mostStarterLb - broadcastN;
	if (!starter || later.length === 0 || maxN <= 0) return undefined;
	return { ...schedule, nitrogen: [{ ...starter, maxN }, ...later] };
}
