import { ORGANIC_PERCENT } from '../../reading/soil/organic-matter';
import { differenceInCalendarDays, getDayOfYear, parseISO } from 'date-fns';
import { InputError } from '../../check/problem';
import type {
	Crop,
	CropStages,
	Pass,
	Product,
	Schedule,
	SeasonAnswer,
	SeasonDay,
	SeasonModel,
	SeasonRequest,
	Station
} from '../../schema-types';
import { amountText } from '../../units/amount-text';
import { DAY_MS, KG_HA_PER_LB_AC } from '../../units/factors';
import { unitInSystem } from '../../units/rate-units';
import { dressingOfPass, dressingOfWater } from './dressing-of-pass';
import { irrigationDays } from './irrigation-days';
import type { SeasonRun } from './season-run';
import { simulateSeason, type SeasonCrop, type SeasonSoil } from './simulate-season';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { afterHarvestAnswers, grownAfter, harvestBeforeSecond, thenGrown } from './after-harvest/after-harvest-run';
import { cropGrowth } from './growth/crop-growth';
import { daysToReach } from './reach';
import { offsetOf } from '../plan/placement-facts';
import { isInSeason } from '../plan/season-span';
import { seasonYield } from './relative-yield';
import { daysBetween, seasonWeather, shiftDate } from '../weather/season-weather';
import { USUAL_ROW_IN } from '../plan/usual-values';

/** What a season stands on beside the request. */
export interface SeasonKnowledge {
	crops: readonly Crop[];
	products: readonly Product[];
	schedules: readonly Schedule[];
	seasonModel: SeasonModel;
	/** The heat by which crops grow and take up. */
	stages: readonly CropStages[];
	stations: readonly Station[];
}

/** The first day of a run of these requests: some days before the earliest of their passes and plantings. */
export function startOf(requests: readonly SeasonRequest[], knowledge: SeasonKnowledge): string {
	return requests
		.map((request) => seasonDates({ ...request, weather: undefined }, knowledge).start)
		.reduce((a, b) => (b < a ? b : a));
}

/** Days before the first pass or planting with which a run begins: water and temperature settle in. */
const RUN_IN_DAYS = 14;
/** What the model takes where the ground was not described; judgement, told in the answer. */
const ASSUMED = {
	textureClass: 'silt loam',
	drainage: 'moderate',
	organicMatterPercent: 2.5,
	soilPh: 6.5,
	nitrateLbAc: 20,
	ammoniumLbAc: 10
} as const;
/** How nitrate and ammonium lie in the three layers at the start where only a sum is known; judgement. */
const NITRATE_BY_LAYER = [0.5, 0.3, 0.2] as const;
const AMMONIUM_BY_LAYER = [0.6, 0.25, 0.15] as const;

/** A season without what the rules say of it. */
export type RunAnswer = Omit<SeasonAnswer, 'checks' | 'stages'>;

/**
 * A season by the daily model: each day, the balance at harvest, and what was assumed.
 * @param request checked by schemas/season-request.schema.json
 * @throws InputError for what no schema sees: a product, crop or station that is not known, weather with a gap
 */
export function runSeason(request: SeasonRequest, knowledge: SeasonKnowledge): RunAnswer {
	const plan = planOf(request, knowledge);
	const { start, days, weather, soil, crop, assumed } = plan;
	const dressings = plan.passes.flatMap(
		({ pass, product, day }) => dressingOfPass(pass, product, day, reachedOn(pass, day, crop, request, knowledge)) ?? []
	);
	const irrigations = request.irrigation ? irrigationDays(request.irrigation, start, days) : [];
	const irrigatedMm = new Map(irrigations.map(({ day, mm }) => [day, mm]));
	const series = {
		minC: weather.map(({ minC }) => minC),
		maxC: weather.map(({ maxC }) => maxC),
		rainMm: weather.map(({ rainMm }, day) => rainMm + (irrigatedMm.get(day) ?? 0)),
		firstDayOfYear: getDayOfYear(parseISO(start)),
		latitude: plan.latitude
	};
	const simulate = (grown: SeasonCrop) =>
		simulateSeason(
			series,
			days,
			soil,
			grown,
			[...dressings, ...irrigations.flatMap(dressingOfWater)],
			knowledge.seasonModel
		);
	const run = simulate(crop);
	const unit = request.units === 'metric' ? 'kg/ha' : 'lb/ac';
	const inUnit = (kilograms: number) => (unit === 'kg/ha' ? kilograms : kilograms / KG_HA_PER_LB_AC);
	const last = Math.min(days - 1, crop.harvested);
	const at = (values: ArrayLike<number>) => inUnit(values[last]!);
	const initial = [...soil.nitrate, ...soil.ammonium].reduce((all, part) => all + part, 0);
	return {
		unit,
		days: Array.from({ length: Math.min(days, crop.harvested + 1) }, (_, day) =>
			dayOf(run, weather[day]!.date, day, inUnit)
		),
		...afterHarvestAnswers(plan.grown, crop, last, { run, simulate }, inUnit),
		balance: {
			atStart: inUnit(initial),
			applied: at(run.applied),
			mineralised: at(run.mineralised),
			takenUp: at(run.takenUp),
			volatilised: at(run.volatilised),
			denitrified: at(run.denitrified),
			leached: at(run.leached),
			tiedUp: at(run.tiedUp),
			leftInGround: at(run.inGround),
			wanted: at(run.wanted),
			shortDays: run.shortDays,
			yieldShare: seasonYield(run, last, knowledge.seasonModel)
		},
		assumed
	};
}

/**
 * The days that a season's run spans, with the planting in it.
 * @throws InputError for a crop or a product that is not known
 */
export function seasonDates(
	request: SeasonRequest,
	knowledge: SeasonKnowledge
): { start: string; planting: string; harvest: string } {
	const { planting, harvest } = cropGrowth(request, knowledge);
	const killedOn = request.soil.legumeCover?.killedOn;
	const first = [
		...carrying(request, knowledge, planting).map(({ pass }) => pass.date),
		...(killedOn !== undefined && isInSeason(killedOn, planting) ? [killedOn] : [])
	].reduce((a, b) => (b < a ? b : a), planting);
	return {
		start: request.weather?.[0]?.date ?? shiftDate(first, -RUN_IN_DAYS),
		planting,
		harvest
	};
}

/** The passes of the season that bring nitrogen. */
function carrying({ passes }: SeasonRequest, knowledge: SeasonKnowledge, planting: string) {
	return passes
		.map((pass, index) => ({ pass, product: productOf(pass.product, knowledge, index) }))
		.filter(({ pass, product }) => isInSeason(pass.date, planting) && passNutrient(pass, product, 'N') > 0);
}

function planOf(request: SeasonRequest, knowledge: SeasonKnowledge) {
	const { soil: facts } = request;
	const { established, fixes, uptake } = cropGrowth(request, knowledge);
	const { start, planting, harvest: usual } = seasonDates(request, knowledge);
	const harvest = harvestBeforeSecond(request, usual);
	const planted = differenceInCalendarDays(parseISO(planting), parseISO(start));
	const harvested = differenceInCalendarDays(parseISO(harvest), parseISO(start));
	const grown = thenGrown(request, harvest, knowledge);
	const ends = daysBetween(start, grown.at(-1)?.ends ?? harvest);
	const { weather, latitude } = seasonWeather(request, knowledge.stations, start, ends + 1);
	const assumed: string[] = [];
	const taken = <K extends keyof typeof ASSUMED>(key: K, name: string, said = String(ASSUMED[key])) => {
		const given = facts[key];
		if (given === undefined) assumed.push(`${name}: ${said}`);
		return given ?? ASSUMED[key];
	};
	const units = request.units ?? 'us';
	const pounds = (key: 'nitrateLbAc' | 'ammoniumLbAc', name: string) =>
		taken(key, `${name}, ${unitInSystem('lb/ac', units)}`, amountText(units).bare(ASSUMED[key]));
	if (fixes) assumed.push('left out, because the crop fixes its own: the nitrogen that it takes up');
	const { seasonModel } = knowledge;
	const spread = (pounds: number, shares: readonly [number, number, number]) =>
		shares.map((share) => share * pounds * KG_HA_PER_LB_AC) as [number, number, number];
	const soil: SeasonSoil = {
		held: seasonModel.soilWater.percentByVolume[taken('textureClass', 'texture')],
		drainsPerDay: seasonModel.drainage.mmPerDay[taken('drainage', 'drainage')],
		// A pound for each percent was found on mineral soils; peat gives no more than this much of it.
		organicMatterPercent: Math.min(ORGANIC_PERCENT, taken('organicMatterPercent', 'organic matter, %')),
		soilPh: taken('soilPh', 'pH in water'),
		residue: facts.residue ?? false,
		nitrate: spread(pounds('nitrateLbAc', 'nitrate-N at the start'), NITRATE_BY_LAYER),
		ammonium: spread(pounds('ammoniumLbAc', 'ammonium-N at the start'), AMMONIUM_BY_LAYER),
		coverKilledOn: facts.coverKilledOn === undefined ? undefined : daysBetween(start, facts.coverKilledOn),
		givenOff: [
			...(facts.legumeCover ? [{ from: facts.legumeCover.killedOn, pounds: facts.legumeCover.nitrogenLbAc }] : []),
			...(facts.creditedNLbAc === undefined ? [] : [{ from: planting, pounds: facts.creditedNLbAc }])
		].map(({ from, pounds }) => ({ from: daysBetween(start, from), gives: pounds * KG_HA_PER_LB_AC }))
	};
	const dayOf = (date: string) =>
		Math.min(weather.length - 1, Math.max(0, (Date.parse(date) - Date.parse(start)) / DAY_MS));
	const wanted = uptake((date) => weather[dayOf(date)]!);
	const then = grownAfter(grown, start, weather);
	const crop: SeasonCrop = {
		planted,
		harvested,
		established,
		wantedBy: (day) => wanted(weather[day]!.date) * KG_HA_PER_LB_AC,
		...(then ? { then } : {})
	};
	const dated = carrying(request, knowledge, planting).map((one) => ({
		...one,
		day: differenceInCalendarDays(parseISO(one.pass.date), parseISO(start))
	}));
	const unformed = dated.filter(({ product }) => !product.nitrogenForms).map(({ product }) => product.name);
	if (unformed.length > 0)
		assumed.push(`left out, because its forms of nitrogen are not known: ${unformed.join(', ')}`);
	return {
		start,
		days: Math.min(weather.length, ends + 1),
		grown,
		weather,
		latitude,
		soil,
		crop,
		passes: dated,
		assumed
	};
}

/** The day from which roots reach what was put between the rows of a standing crop. */
function reachedOn(
	pass: Pass,
	day: number,
	{ planted, established }: SeasonCrop,
	{ crop }: SeasonRequest,
	{ seasonModel }: SeasonKnowledge
): number | undefined {
	// Before planting nobody knows where the rows will be; the roots of a perennial are everywhere.
	if (established || (day < planted && pass.offsetIn === undefined)) return undefined;
	const days = daysToReach(offsetOf(pass, crop.rowSpacingIn ?? USUAL_ROW_IN), seasonModel);
	return days === 0 ? undefined : planted + days;
}

function productOf(id: string, { products }: SeasonKnowledge, index: number): Product {
	const found = products.find((product) => product.id === id);
	if (found) return found;
	throw new InputError([{ path: `/passes/${index}/product`, message: `"${id}" is not in the catalogue` }]);
}

function dayOf(run: SeasonRun, date: string, day: number, inUnit: (kilograms: number) => number): SeasonDay {
	const at = (values: ArrayLike<number>) => inUnit(values[day]!);
	return {
		date,
		soilC: run.soilC[day]!,
		waterMm: run.waterMm[day]!,
		saturated: run.saturated[day] === 1,
		nitrate: at(run.nitrate),
		topNitrate: at(run.topNitrate),
		inGround: at(run.inGround),
		wanted: at(run.wanted),
		takenUp: at(run.takenUp),
		volatilised: at(run.volatilised),
		denitrified: at(run.denitrified),
		leached: at(run.leached),
		mineralised: at(run.mineralised),
		applied: at(run.applied)
	};
}
