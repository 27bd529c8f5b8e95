import type { DecisionPlan, SeasonRequest, WeatherDay } from '../../schema-types';
import { KG_HA_PER_LB_AC } from '../../units/factors';
import { runSeason, type SeasonKnowledge } from '../model/run-season';
import { callsForPass, seenBy, type SeenDay } from './judge-decision';

/** A season's passes with those that its decisions called for. */
export interface DecidedSeason {
	passes: SeasonRequest['passes'];
	/** Places of the decisions that called for their pass. */
	made: number[];
}

/**
 * Plays the decisions of a plan through one season's weather, in the order of their days; each sees only what went on before. What cannot be
 * judged calls for nothing.
 */
export function decideSeason(
	request: SeasonRequest & { weather: WeatherDay[] },
	decisions: readonly DecisionPlan[],
	knowledge: SeasonKnowledge
): DecidedSeason {
	const byDate = new Map(request.weather.map((day) => [day.date, day]));
	const order = [...decisions.keys()].sort((a, b) => decisions[a]!.on.localeCompare(decisions[b]!.on));
	const made: number[] = [];
	let passes = request.passes;
	for (const at of order) {
		const decision = decisions[at]!;
		const days = decision.look !== 'rain' ? poundDays({ ...request, passes }, knowledge) : undefined;
		const seen = seenBy(decision, { weather: (date) => byDate.get(date), days });
		if (!seen.applies || !callsForPass(decision, seen.value)) continue;
		passes = [...passes, decision.pass];
		made.push(at);
	}
	return { passes, made };
}

/** Days of a run with their nitrogen in lb/ac, whatever the reader's units. */
export function poundDays(request: SeasonRequest, knowledge: SeasonKnowledge): SeenDay[] {
	const { days, unit } = runSeason(request, knowledge);
	const per = unit === 'kg/ha' ? KG_HA_PER_LB_AC : 1;
	return days.map(({ date, nitrate, topNitrate, wanted, takenUp }) => ({
		date,
		nitrate: nitrate / per,
		topNitrate: topNitrate / per,
		wanted: wanted / per,
		takenUp: takenUp / per
	}));
}
