import type { SeasonAnswer, SeasonRequest, Station } from '../schema-types';
import { runSeason, startOf, type RunAnswer, type SeasonKnowledge } from './run-season';
import { generateWeather } from './weather/generate-weather';

/** A programme to be tried. */
export interface TriedProgramme {
	name: string;
	/** Trips over the field that bring nitrogen. */
	passes: number;
	request: SeasonRequest;
	/** Products of the nitrogen passes, $/ac; undefined where a price is missing. */
	nitrogenCost?: number | undefined;
}

/** One quantity over all seasons: mean, and means of the wettest and the driest fifth. */
export interface Spread {
	mean: number;
	wet: number;
	dry: number;
	/** One season in ten lies below the one, one in ten above the other. */
	low: number;
	high: number;
}

/** What a programme came to over many made-up seasons; nitrogen in the request's unit. */
export interface ProgrammeOutcome {
	name: string;
	passes: number;
	unit: SeasonAnswer['unit'];
	/** Days on which the crop was short. */
	shortDays: Spread;
	/** Of what the crop wanted by harvest. */
	missing: Spread;
	/** To the air, from wet ground and below the roots. */
	lost: Spread;
	/** In the ground at harvest. */
	left: Spread;
	/** In the crop's unit. */
	yield: Spread;
	/** Grain less the cost of the nitrogen passes, $/ac; undefined where a price is missing. */
	returnOverN: Spread | undefined;
}

/** A run ends within a year and a half of its first day. */
const RUN_DAYS = 540;
const FIFTH = 0.2;
const TENTH = 0.1;

/**
 * The same made-up seasons for every programme, seed after seed; between two steps the caller may show the progress or leave
 * off. Seasons are ranked by their rain.
 * @param grainPrice $ per unit of yield; undefined where it is not known
 */
export function* stressTest(
	programmes: readonly TriedProgramme[],
	seasons: number,
	station: Station,
	knowledge: SeasonKnowledge,
	grainPrice?: number
): Generator<{ done: number; total: number }, ProgrammeOutcome[]> {
	const start = startOf(
		programmes.map(({ request }) => request),
		knowledge
	);
	const rain: number[] = [];
	const answers: RunAnswer[][] = programmes.map(() => []);
	for (let seed = 1; seed <= seasons; seed++) {
		const weather = generateWeather(station, start, RUN_DAYS, seed);
		programmes.forEach(({ request }, at) => {
			const inThis = { ...request, station: undefined, weather, latitude: station.latitude };
			answers[at]!.push(runSeason(inThis, knowledge));
		});
		const days = answers[0]!.at(-1)!.days.length;
		rain.push(weather.slice(0, days).reduce((sum, { rainMm }) => sum + rainMm, 0));
		yield { done: seed, total: seasons };
	}
	const order = [...rain.keys()].sort((a, b) => rain[a]! - rain[b]!);
	const fifth = Math.max(1, Math.round(seasons * FIFTH));
	const [dry, wet] = [order.slice(0, fifth), order.slice(-fifth)];
	return programmes.map(({ name, passes, request, nitrogenCost }, at) => {
		const of = (quantity: (balance: SeasonAnswer['balance']) => number) =>
			spreadOf(
				answers[at]!.map(({ balance }) => quantity(balance)),
				wet,
				dry
			);
		return {
			name,
			passes,
			unit: answers[at]![0]!.unit,
			shortDays: of(({ shortDays }) => shortDays),
			missing: of(({ wanted, takenUp }) => wanted - takenUp),
			lost: of(({ volatilised, denitrified, leached }) => volatilised + denitrified + leached),
			left: of(({ leftInGround }) => leftInGround),
			yield: of(({ yieldShare }) => yieldShare * request.crop.yieldGoal),
			returnOverN:
				grainPrice === undefined || nitrogenCost === undefined
					? undefined
					: of(({ yieldShare }) => yieldShare * request.crop.yieldGoal * grainPrice - nitrogenCost)
		};
	});
}

function spreadOf(values: readonly number[], wet: readonly number[], dry: readonly number[]): Spread {
	const mean = (some: readonly number[]) => some.reduce((sum, value) => sum + value, 0) / some.length;
	const sorted = [...values].sort((a, b) => a - b);
	return {
		mean: mean(values),
		wet: mean(wet.map((at) => values[at]!)),
		dry: mean(dry.map((at) => values[at]!)),
		low: sorted[Math.floor(values.length * TENTH)]!,
		high: sorted[Math.min(values.length - 1, Math.floor(values.length * (1 - TENTH)))]!
	};
}
