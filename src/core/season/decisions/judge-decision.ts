import { figure, notApplicable, type Answer } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { DecisionPlan, InSeason, SeasonDay, WeatherDay } from '../../schema-types';
import { LB_AC_PER_PPM_INCH, MM_PER_IN } from '../../units/factors';
import { shiftDate } from '../weather/season-weather';
import { testSeen } from './test-seen';

/** A day of the season model, in lb N/ac. */
export type SeenDay = Pick<SeasonDay, 'date' | 'nitrate' | 'topNitrate' | 'wanted' | 'takenUp'>;

/** What a decision is judged by. */
export interface SeenSeason {
	/** Rain of each day. */
	weather: (date: string) => Pick<WeatherDay, 'rainMm'> | undefined;
	/** The run of the model up to the day. */
	days?: readonly SeenDay[] | undefined;
	/** Tests of the crop on the farm; in a simulated season the model stands for them. */
	tests?: InSeason | undefined;
}

/** More days than this between the first and the look are no season. */
const MOST_DAYS = 400;
/** A nitrate test in the crop is of the top foot, which the model's top layer is nearly. */
const TEST_DEPTH_IN = 12;

/**
 * What is seen on the day of a decision: inches of rain since its first day; nitrate by the model; the nitrate test in the crop,
 * ppm; or how the crop stands against its N-rich strip, percent. In a simulated season the model's nitrate in the top foot stands for the test, and
 * what the crop took up of what it wanted for the strip.
 * @returns why it is not known, where a day of weather or a test is missing, or the day was not reached
 */
export function seenBy(plan: DecisionPlan, { weather, days, tests }: SeenSeason): Answer {
	const { name, look, since, on } = plan;
	if (look === 'rain') return rainSeen(name, since ?? on, on, weather);
	if (tests && look !== 'nitrate') return testSeen({ ...plan, look }, tests);
	const day = days?.find(({ date }) => date === on);
	if (!day) return notApplicable(name, 'the season model does not reach that day', 'Set goal, planting and soil.');
	if (look === 'nitrate') {
		return figure({ label: `${name}: nitrate in the root zone`, value: day.nitrate, unit: 'lb/ac', basis: 'practice' });
	}
	const [value, unit, label] =
		look === 'test'
			? [day.topNitrate / (LB_AC_PER_PPM_INCH * TEST_DEPTH_IN), 'ppm', 'nitrate-N of the top foot']
			: [day.wanted > 0 ? (100 * day.takenUp) / day.wanted : 100, '%', 'taken up of what was wanted'];
	return figure({ label: `${name}: ${label}`, value, unit, basis: 'practice' });
}

function rainSeen(name: string, since: string, on: string, weather: SeenSeason['weather']): Answer {
	let sum = 0;
	let at = since;
	for (let count = 0; at < on && count < MOST_DAYS; count++) {
		const day = weather(at);
		if (!day) return notApplicable(name, `the rain of ${at} is not known`, 'Enter it under Weather.');
		sum += day.rainMm;
		at = shiftDate(at, 1);
	}
	return measured(`${name}: rain since ${since}`, sum / MM_PER_IN, 'in');
}

/** Whether what was seen calls for the pass. */
export function callsForPass({ is, amount }: DecisionPlan, seen: number): boolean {
	return is === 'above' ? seen > amount : seen < amount;
}
