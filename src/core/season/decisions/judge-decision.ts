import { figure, notApplicable, type Answer } from '../../figure/figure';
import type { DecisionPlan, SeasonDay, WeatherDay } from '../../schema-types';
import { shiftDate } from '../weather/season-weather';
import { MM_PER_IN } from '../../units/factors';

/** What a decision is judged by: rain of each day, and the run of the model up to it, in lb/ac. */
export interface SeenSeason {
	weather: (date: string) => Pick<WeatherDay, 'rainMm'> | undefined;
	days?: readonly Pick<SeasonDay, 'date' | 'nitrate'>[] | undefined;
}

/** More days than this between the first and the look are no season. */
const MOST_DAYS = 400;

/**
 * What is seen on the day of a decision: inches of rain since its first day, or nitrate by the model.
 * @returns why it is not known, where a day of weather is missing or the day was not reached
 */
export function seenBy({ name, look, since, on }: DecisionPlan, { weather, days }: SeenSeason): Answer {
	if (look === 'nitrate') {
		const day = days?.find(({ date }) => date === on);
		return day
			? figure({ label: `${name}: nitrate in the root zone`, value: day.nitrate, unit: 'lb/ac', basis: 'practice' })
			: notApplicable(name, 'the season model does not reach that day', 'Set goal, planting and soil.');
	}
	let sum = 0;
	let at = since ?? on;
	for (let count = 0; at < on && count < MOST_DAYS; count++) {
		const day = weather(at);
		if (!day) return notApplicable(name, `the rain of ${at} is not known`, 'Enter it under Weather.');
		sum += day.rainMm;
		at = shiftDate(at, 1);
	}
	return figure({ label: `${name}: rain since ${since ?? on}`, value: sum / MM_PER_IN, unit: 'in', basis: 'measured' });
}

/** Whether what was seen calls for the pass. */
export function callsForPass({ is, amount }: DecisionPlan, seen: number): boolean {
	return is === 'above' ? seen > amount : seen < amount;
}
