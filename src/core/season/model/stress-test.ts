import type { DecisionPlan, SeasonAnswer, SeasonRequest, Station } from '../../schema-types';
import { waitsOverWinter } from '../checks/timing/autumn-nitrogen';
import { decideSeason } from '../decisions/decide-season';
import { runSeason, seasonDates, startOf, type RunAnswer, type SeasonKnowledge } from './run-season';
import { generateWeather } from '../weather/generate-weather';
import { shiftDate } from '../weather/season-weather';

/** A programme to be tried. */
export interface TriedProgramme {
	name: string;
	/** Trips over the field that bring nitrogen. */
	passes: number;
	request: SeasonRequest;
	/** Products of the nitrogen passes, $/ac; undefined where a price is missing. */
	nitrogenCost?: number | undefined;
	/** The same plan as the first one but for its inhibitors, and which of the two has them. */
	inhibitors?: 'with' | 'without' | undefined;
	/** What it decides within the season, each with what its pass costs, $/ac. */
	decisions?: readonly { plan: DecisionPlan; cost: number | undefined }[] | undefined;
}

/** The price of inhibitors against their chance, over all seasons. */
export interface InhibitorChance {
	/** $/ac more than without. */
	cost: number;
	/** Yield that pays for them, in the crop's unit. */
	breakEven: number;
	/** Seasons in which they bring more than that, of all and of the wettest fifth. */
	pays: number;
	seasons: number;
	paysWet: number;
	wetSeasons: number;
	/** Yield more than without, in the crop's unit. */
	gain: Spread;
}

/** A programme that decides within the season against one that does not, season by season. */
export interface AdaptiveChance {
	plan: string;
	against: string;
	/** $/ac of return over nitrogen, or the crop's unit where a price is missing. */
	unit: '$/ac' | 'yield';
	gain: Spread;
	/** Seasons in which it came out ahead, of all and of the wettest fifth. */
	better: number;
	seasons: number;
	betterWet: number;
	wetSeasons: number;
	/** Seasons in which a decision put its pass on. */
	decided: number;
	decidedWet: number;
}

/** What a stress test comes to. */
export interface StressOutcome {
	programmes: ProgrammeOutcome[];
	/** Programmes with nitrogen that waits over winter. */
	notRanked: string[];
	adaptive: AdaptiveChance[];
	/** Undefined where no plan stands beside its twin, or a price is missing. */
	inhibitors: InhibitorChance | undefined;
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

/** What a programme came to over many simulated seasons; nitrogen in the request's unit. */
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
/** Seasons are ranked by the rain of these days about planting, while nitrogen waits for the crop: judgement. */
const RANKED = { before: 30, after: 75 } as const;
const FIFTH = 0.2;
const TENTH = 0.1;

/**
 * The same simulated seasons for every programme, seed after seed; between two steps the caller may show the progress or leave
 * off. Seasons are ranked by their rain about planting. A programme that leaves nitrogen in the ground over winter is not tried: the
 * model loses less of it than field trials do.
 * @param grainPrice $ per unit of yield; undefined where it is not known
 */
export function* stressTest(
	all: readonly TriedProgramme[],
	seasons: number,
	station: Station,
	knowledge: SeasonKnowledge,
	grainPrice?: number
): Generator<{ done: number; total: number }, StressOutcome> {
	const programmes = all.filter(({ request }) => !isOverWinter(request, knowledge));
	const notRanked = all.filter((one) => !programmes.includes(one)).map(({ name }) => name);
	if (programmes.length === 0) return { programmes: [], notRanked, adaptive: [], inhibitors: undefined };
	const start = startOf(
		programmes.map(({ request }) => request),
		knowledge
	);
	const { planting } = seasonDates(programmes[0]!.request, knowledge);
	const [from, to] = [shiftDate(planting, -RANKED.before), shiftDate(planting, RANKED.after)];
	const rain: number[] = [];
	const answers: RunAnswer[][] = programmes.map(() => []);
	const decided: number[][][] = programmes.map(() => []);
	for (let seed = 1; seed <= seasons; seed++) {
		const weather = generateWeather(station, start, RUN_DAYS, seed);
		programmes.forEach(({ request, decisions = [] }, at) => {
			const inThis = { ...request, station: undefined, weather, latitude: station.latitude };
			const { passes, made } = decideSeason(
				inThis,
				decisions.map(({ plan }) => plan),
				knowledge
			);
			answers[at]!.push(runSeason({ ...inThis, passes }, knowledge));
			decided[at]!.push(made);
		});
		rain.push(weather.filter(({ date }) => date >= from && date < to).reduce((sum, { rainMm }) => sum + rainMm, 0));
		yield { done: seed, total: seasons };
	}
	const order = [...rain.keys()].sort((a, b) => rain[a]! - rain[b]!);
	const fifth = Math.max(1, Math.round(seasons * FIFTH));
	const [dry, wet] = [order.slice(0, fifth), order.slice(-fifth)];
	const returns = programmes.map((programme, at) => returnsOf(programme, answers[at]!, decided[at]!, grainPrice));
	const outcomes = programmes.map(({ name, passes, request }, at) => {
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
			returnOverN: returns[at] && spreadOf(returns[at], wet, dry)
		};
	});
	return {
		programmes: outcomes,
		notRanked,
		adaptive: adaptiveChances(programmes, { answers, decided, returns, wet, dry }),
		inhibitors: inhibitorChance(programmes, answers, wet, dry, grainPrice)
	};
}

function isOverWinter(request: SeasonRequest, knowledge: SeasonKnowledge): boolean {
	const { planting: plantingDate } = seasonDates(request, knowledge);
	return request.passes.some((pass) => waitsOverWinter(pass, { plantingDate, products: knowledge.products }));
}

/** Grain less what the nitrogen of each season cost, decisions in it; undefined where a price is missing. */
function returnsOf(
	{ request, nitrogenCost, decisions = [] }: TriedProgramme,
	answers: readonly RunAnswer[],
	decided: readonly number[][],
	grainPrice: number | undefined
): number[] | undefined {
	if (grainPrice === undefined || nitrogenCost === undefined || decisions.some(({ cost }) => cost === undefined)) {
		return undefined;
	}
	return answers.map(({ balance }, season) => {
		const added = decided[season]!.reduce((sum, made) => sum + decisions[made]!.cost!, 0);
		return balance.yieldShare * request.crop.yieldGoal * grainPrice - nitrogenCost - added;
	});
}

interface Seasons {
	answers: readonly RunAnswer[][];
	decided: readonly number[][][];
	returns: readonly (number[] | undefined)[];
	wet: readonly number[];
	dry: readonly number[];
}

/** Each programme that decides against each that does not, twins with or without inhibitors left out: by return, or by yield where a price is missing. */
function adaptiveChances(
	programmes: readonly TriedProgramme[],
	{ answers, decided, returns, wet, dry }: Seasons
): AdaptiveChance[] {
	const decides = ({ decisions = [] }: TriedProgramme) => decisions.length > 0;
	const yields = (at: number) =>
		answers[at]!.map(({ balance }) => balance.yieldShare * programmes[at]!.request.crop.yieldGoal);
	return programmes.flatMap((plan, at) =>
		!decides(plan) || plan.inhibitors !== undefined
			? []
			: programmes.flatMap((against, other): AdaptiveChance[] => {
					if (decides(against) || against.inhibitors !== undefined) return [];
					const [mine, theirs] = [returns[at], returns[other]];
					const inMoney = mine !== undefined && theirs !== undefined;
					const [own, others] = inMoney ? [mine, theirs] : [yields(at), yields(other)];
					const gains = own.map((value, season) => value - others[season]!);
					const ahead = (season: number) => gains[season]! > 0;
					const added = (season: number) => decided[at]![season]!.length > 0;
					return [
						{
							plan: plan.name,
							against: against.name,
							unit: inMoney ? '$/ac' : 'yield',
							gain: spreadOf(gains, wet, dry),
							better: [...gains.keys()].filter(ahead).length,
							seasons: gains.length,
							betterWet: wet.filter(ahead).length,
							wetSeasons: wet.length,
							decided: [...gains.keys()].filter(added).length,
							decidedWet: wet.filter(added).length
						}
					];
				})
	);
}

/** In how simulated seasons inhibitors bring more yield than they cost. */
function inhibitorChance(
	programmes: readonly TriedProgramme[],
	answers: readonly RunAnswer[][],
	wet: readonly number[],
	dry: readonly number[],
	grainPrice: number | undefined
): InhibitorChance | undefined {
	const twin = programmes.findIndex(({ inhibitors }) => inhibitors !== undefined);
	const [plan, other] = [programmes[0], programmes[twin]];
	if (!plan || !other || !grainPrice || plan.nitrogenCost === undefined || other.nitrogenCost === undefined)
		return undefined;
	const sign = other.inhibitors === 'with' ? 1 : -1;
	const cost = sign * (other.nitrogenCost - plan.nitrogenCost);
	const gains = answers[0]!.map(
		({ balance }, season) =>
			sign * (answers[twin]![season]!.balance.yieldShare - balance.yieldShare) * plan.request.crop.yieldGoal
	);
	const breakEven = cost / grainPrice;
	return {
		cost,
		breakEven,
		pays: gains.filter((gain) => gain > breakEven).length,
		seasons: gains.length,
		paysWet: wet.filter((season) => gains[season]! > breakEven).length,
		wetSeasons: wet.length,
		gain: spreadOf(gains, wet, dry)
	};
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
