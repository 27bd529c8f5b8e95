import { alternativesTo } from '../propose/alternatives';
import type { PriceOf } from '../plan/pass/pass-cost';
import { soundRemedies } from '../checks/sound-remedies';
import { compareProgrammes, type ComparedProgramme } from '../propose/compare-programmes';
import { capacityOn, modelledCapacityCheck } from '../checks/ground/modelled-capacity';
import { gravestFirst } from '../../figure/gravest-first';
import { checkSeason } from '../checks/check-season';
import type { PlanContext } from '../plan/plan-context';
import { runSeason, seasonDates, type RunAnswer, type SeasonKnowledge } from '../model/run-season';
import { type StageDate, stageDates, usualStages, usualTemperatures } from '../stages/stage-dates';
import { passesInSeason } from '../plan/season-span';
import { tripOf } from '../plan/trips';
import { generateWeather, type YearKind } from '../weather/generate-weather';
import { daysBetween, shiftDate, withKnown } from '../weather/season-weather';
import type { Pass, PassCheck, SeasonRequest, Station, WeatherDay } from '../../schema-types';
import { axisOver, type TimeAxis } from './season-axis';

/** What the board stands on; nothing of it changes while a pass is moved. */
export interface BoardGround {
	context: PlanContext;
	/** Soil, crop and units of the season; its passes are those that are kept. */
	request: SeasonRequest;
	knowledge: SeasonKnowledge;
	kind: YearKind;
}

/** A day of the year that is shown, with the soil's temperature at 4 in, C. */
export interface BoardDay extends WeatherDay {
	soilC: number;
}

/** The year that is shown: its days, the stages that the crop reaches in it, and how far both go. */
export interface BoardYear {
	axis: TimeAxis;
	days: BoardDay[];
	stages: StageDate[];
	/** Undefined for crops whose uptake is not known. */
	harvest: string | undefined;
	/** N that the soil can hold on each day of the axis, lb/ac; undefined where it is not known. */
	capacity: number[] | undefined;
}

/** What a plan comes to in the year that is shown. */
export interface LiveSeason {
	checks: PassCheck[];
	/** Undefined for crops whose uptake is not known. */
	run: RunAnswer | undefined;
}

/** Days before the axis with which the soil's temperature and water settle in. */
const RUN_IN_DAYS = 30;
/** Of so many simulated years the one is shown whose early season is nearest to usual in warmth. */
const YEARS_TO_CHOOSE = 12;
const EARLY_SEASON_DAYS = 60;
/** A run begins so many days before planting, whatever is planned, so that plans can be compared. */
const SETTLES_DAYS = 21;
/** Where nothing tells when a crop is done, days from planting. */
const USUAL_SEASON_DAYS = 150;

/** The year around the kept passes. */
export function boardYear({ context, request, knowledge, kind }: BoardGround): BoardYear {
	const { crop, plantingDate, station, stages: known, schedule } = context;
	const usual = usualStages(context);
	const runs = schedule?.uptake !== undefined || (crop.perennial && request.crop.nitrogenLbAc !== undefined);
	const harvest = runs ? seasonDates(request, knowledge).harvest : undefined;
	const lastStage = usual.at(-1)?.date ?? shiftDate(plantingDate, USUAL_SEASON_DAYS);
	const end = harvest ?? lastStage;
	// An orchard has no planting in the year, but a spring.
	const begin = context.crop.perennial ? (usual[0]?.date ?? plantingDate) : plantingDate;
	const axis = axisOver([
		begin,
		end,
		...(crop.perennial ? [lastStage] : []),
		...passesInSeason(request.passes, plantingDate).map(({ date }) => date)
	]);
	const weather = weatherFrom(axis.from, axis.days, context, kind);
	let soilC = (weather[0]!.minC + weather[0]!.maxC) / 2;
	const days = weather.map((day) => {
		soilC += context.model.soilTemperature.dailyShare * ((day.minC + day.maxC) / 2 - soilC);
		return { ...day, soilC };
	});
	const byDate = new Map(weather.map((day) => [day.date, day]));
	const temperatures = (date: string) => byDate.get(date) ?? usualTemperatures(station)(date);
	const capacity = capacityOn(context);
	return {
		axis,
		days,
		stages: known ? stageDates(known, plantingDate, temperatures) : [],
		harvest,
		capacity: context.holdingLimit.applies
			? Array.from({ length: axis.days + 1 }, (_, at) => capacity(shiftDate(axis.from, at))!)
			: undefined
	};
}

/** So many days of the year that is shown, and those before with which soil and water settle in. */
function weatherFrom(
	first: string,
	days: number,
	{ station, plantingDate, weather }: PlanContext,
	kind: YearKind
): WeatherDay[] {
	const from = shiftDate(first, -RUN_IN_DAYS);
	const made = typicalYear(station, from, days + RUN_IN_DAYS + 1, plantingDate, kind);
	return withKnown(made, [...weather.days.values()]);
}

/**
 * What a catch crop or a second crop takes up after the harvest, in the same year and the winter after it.
 * @param until the last day of it
 * @returns undefined for crops whose uptake is not known
 * @throws InputError where it is sown before the harvest of this year, or the model does not know it
 */
export function runOnAfter(
	{ context, request, knowledge, kind }: BoardGround,
	{ axis, harvest }: BoardYear,
	then: Pick<SeasonRequest, 'catchCrop' | 'secondCrop'>,
	until: string
): RunAnswer | undefined {
	if (harvest === undefined) return undefined;
	const days = weatherFrom(axis.from, daysBetween(axis.from, until), context, kind);
	return runSeason({ ...inYear(request, request.passes, days, context, knowledge), ...then }, knowledge);
}

/** What was last asked of a station, and its answer: a page asks again for the same year, part by part. */
const lastYear = new WeakMap<Station, { asked: string; year: readonly WeatherDay[] }>();

function typicalYear(
	station: Station,
	from: string,
	days: number,
	plantingDate: string,
	kind: YearKind
): readonly WeatherDay[] {
	const asked = [from, days, plantingDate, kind].join(' ');
	const last = lastYear.get(station);
	if (last?.asked === asked) return last.year;
	const year = mostTypical(station, from, days, plantingDate, kind);
	lastYear.set(station, { asked, year });
	return year;
}

function mostTypical(station: Station, from: string, days: number, plantingDate: string, kind: YearKind): WeatherDay[] {
	const usual = usualTemperatures(station);
	const until = shiftDate(plantingDate, EARLY_SEASON_DAYS);
	const offBy = (year: readonly WeatherDay[]) => {
		const early = year.filter(({ date }) => date >= plantingDate && date < until);
		const mean = ({ minC, maxC }: { minC: number; maxC: number }) => (minC + maxC) / 2;
		return Math.abs(early.reduce((sum, day) => sum + mean(day) - mean(usual(day.date)), 0));
	};
	const years = Array.from({ length: YEARS_TO_CHOOSE }, (_, seed) =>
		generateWeather(station, from, days, seed + 1, kind)
	);
	return years.reduce((best, year) => (offBy(year) < offBy(best) ? year : best));
}

/** What the rules and the daily model say of a plan. */
export function liveSeason(
	{ context, request, knowledge }: BoardGround,
	{ days, harvest }: BoardYear,
	passes: Pass[]
): LiveSeason {
	const checks = passes.length > 0 ? checkSeason(passes, context) : [];
	if (harvest === undefined) return { checks: soundRemedies(checks, passes, context), run: undefined };
	const planned = inYear(request, passes, days, context, knowledge);
	const run = runSeason({ ...planned, passes }, knowledge);
	const capacity = passes.length > 0 ? modelledCapacityCheck(run, context) : [];
	return { checks: soundRemedies(gravestFirst([...checks, ...capacity]), passes, context), run };
}

/** The plan beside other ways to put on its nitrogen, in the same year; none for crops whose uptake is not known. */
export function programmesBeside(
	{ context, request, knowledge }: BoardGround,
	{ days, harvest }: BoardYear,
	passes: Pass[],
	priceOf: PriceOf
): ComparedProgramme[] {
	if (harvest === undefined || context.crop.perennial) return [];
	const alternatives = alternativesTo(passes, context);
	if (alternatives.length === 1) return [];
	return compareProgrammes(
		alternatives,
		context,
		inYear(request, passes, days, context, knowledge),
		knowledge,
		priceOf
	);
}

/** The request in the days that are shown, from some weeks before planting or the first pass with nitrogen. */
function inYear(
	request: SeasonRequest,
	passes: Pass[],
	days: readonly WeatherDay[],
	{ plantingDate, station }: PlanContext,
	knowledge: SeasonKnowledge
): SeasonRequest {
	const { start } = seasonDates({ ...request, passes }, knowledge);
	const settled = shiftDate(plantingDate, -SETTLES_DAYS);
	const from = start < settled ? start : settled;
	const weather = days.filter(({ date }) => date >= from);
	return { ...request, station: undefined, known: undefined, weather, latitude: station.latitude };
}

/** The passes with one of them, and those of its trip, on another day. */
export function withMoved(passes: readonly Pass[], moved: { pass: Pass; date: string } | undefined): Pass[] {
	if (!moved) return [...passes];
	const going = new Set(tripOf(moved.pass, passes).map(({ id }) => id));
	return passes.map((pass) => (going.has(pass.id) ? { ...pass, date: moved.date } : pass));
}
