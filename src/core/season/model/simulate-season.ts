import type { HeldWater, SeasonModel } from '../../schema-types';
import { layerOf, startCohort, type Cohort, type Dressing } from './dressing';
import { referenceEvaporation } from './evaporation';
import { byQ10, denitrifiedPercent, nitrificationAgainst16 } from './rates-by-temperature';
import {
	isSaturated,
	LAYER_CM,
	LAYERS,
	moistureShare,
	soilWaterAtCapacity,
	waterDay,
	type SoilWater
} from './soil-water';
import { ureaDay, type SurfaceSoil } from './urea';

/** Weather as plain numbers, one of each for a day. */
export interface WeatherSeries {
	minC: ArrayLike<number>;
	maxC: ArrayLike<number>;
	rainMm: ArrayLike<number>;
	/** Day of the year of the first day, 1 to 366. */
	firstDayOfYear: number;
	latitude: number;
}

/** The ground at the start of a run. */
export interface SeasonSoil extends SurfaceSoil {
	held: HeldWater;
	/** mm a day that a layer drains above field capacity. */
	drainsPerDay: number;
	organicMatterPercent: number;
	/** kg N/ha in 0-30, 30-60 and 60-90 cm. */
	nitrate: readonly [number, number, number];
	ammonium: readonly [number, number, number];
	/** A cereal cover crop is killed on this day of the run; undefined where there is none. */
	coverKilledOn: number | undefined;
}

/** What grows: nitrogen taken up by a day of the run without want, kg N/ha. */
export interface SeasonCrop {
	/** Day of the run on which it is planted. */
	planted: number;
	/** Day of the run on which it is harvested. */
	harvested: number;
	wantedBy: (day: number) => number;
}

/** A season day by day; kg N/ha, C, mm. */
export interface SeasonRun {
	days: number;
	soilC: Float64Array;
	/** Water in the top layer, and whether it was saturated. */
	waterMm: Float64Array;
	saturated: Uint8Array;
	/** Mineral nitrogen in all layers and in dressings that have not turned yet. */
	inGround: Float64Array;
	nitrate: Float64Array;
	/** Totals from the start up to each day. */
	wanted: Float64Array;
	takenUp: Float64Array;
	volatilised: Float64Array;
	denitrified: Float64Array;
	leached: Float64Array;
	mineralised: Float64Array;
	applied: Float64Array;
	/** Held by the decay of a killed cover crop on each day. */
	tiedUp: Float64Array;
	/** What does not add up on a day: none beyond rounding. */
	unbalanced: Float64Array;
	/** Days on which the crop had less than 95 % of what it wanted until then. */
	shortDays: number;
}

/** Below this share of what it wanted a crop counts as short: judgement. */
const SHORT_SHARE = 0.95;
/** Less than this is no want, kg N/ha: before its roots reach anything a crop lives on its seed. */
const LEAST_SHORT = 2;
const START_YEAR_DAYS = 365;

/**
 * Nitrogen and water day by day: a screening model. Each day dressings go on, rain fills and drains the layers and carries
 * nitrate down, urea and ammonium turn, organic matter gives, saturated soil loses nitrate, and the crop takes what it wants
 * of what its roots reach. The mass balance closes every day.
 */
export function simulateSeason(
	weather: WeatherSeries,
	days: number,
	soil: SeasonSoil,
	crop: SeasonCrop | undefined,
	dressings: readonly Dressing[],
	model: SeasonModel
): SeasonRun {
	const run = emptyRun(days);
	const water = soilWaterAtCapacity(soil.held, soil.drainsPerDay, model.drainage.saturatedShare);
	const nitrate = Float64Array.from(soil.nitrate);
	const ammonium = Float64Array.from(soil.ammonium);
	const cohorts: Cohort[] = [];
	const initial = sum(nitrate) + sum(ammonium);
	/** Nitrate of bands between the rows that no root reaches yet. */
	const apart = new Float64Array(LAYERS);
	const reachedOn = Math.max(0, ...dressings.map((dressing) => dressing.reachedOn ?? 0));
	const cover = { held: 0 };
	const totals = { wanted: 0, takenUp: 0, volatilised: 0, denitrified: 0, leached: 0, mineralised: 0, applied: 0 };
	let soilC = (weather.minC[0]! + weather.maxC[0]!) / 2;

	for (let day = 0; day < days; day++) {
		const [minC, maxC, rain] = [weather.minC[day]!, weather.maxC[day]!, weather.rainMm[day]!];
		soilC += model.soilTemperature.dailyShare * ((minC + maxC) / 2 - soilC);
		for (const dressing of dressings) {
			if (dressing.day !== day) continue;
			cohorts.push(startCohort(dressing, model));
			addNitrate(cohorts.at(-1)!, dressing.nitrate, day, nitrate, apart);
			totals.applied += dressing.nitrate + dressing.ammonium + dressing.urea + dressing.coated;
		}

		const growing = crop !== undefined && day >= crop.planted && day < crop.harvested;
		const sincePlanting = growing ? day - crop.planted : 0;
		const rooted = growing ? rootedLayers(sincePlanting, model) : 0;
		const dayOfYear = ((weather.firstDayOfYear + day - 1) % START_YEAR_DAYS) + 1;
		const reference = referenceEvaporation(minC, maxC, weather.latitude, dayOfYear);
		waterDay(water, rain, reference * coverShare(growing, sincePlanting, model), Math.max(1, Math.ceil(rooted)));
		totals.leached += carryNitrateDown(nitrate, water.mm, water.drained, apart);

		for (const cohort of cohorts) {
			totals.volatilised += ureaDay(cohort, soilC, rain, soil, model);
			const turned = nitrifyCohort(cohort, soilC, moistureShare(water, layerOf(cohort)), model);
			addNitrate(cohort, turned, day, nitrate, apart);
			cohort.days++;
		}
		const pace = model.nitrification.perDayAt16 * nitrificationAgainst16(model.nitrification, soilC);
		for (let layer = 0; layer < LAYERS; layer++) {
			const turned = ammonium[layer]! * Math.min(1, pace * moistureShare(water, layer));
			ammonium[layer]! -= turned;
			nitrate[layer]! += turned;
		}
		const given =
			soil.organicMatterPercent *
			byQ10(model.mineralisation.kgHaPerPercentAt20, model.mineralisation.q10, soilC) *
			moistureShare(water, 0);
		ammonium[0]! += given;
		totals.mineralised += given;
		if (soil.coverKilledOn !== undefined) coverDay(cover, day - soil.coverKilledOn, nitrate, ammonium, model);

		totals.denitrified += denitrify(nitrate, water, soilC, model);
		if (day >= reachedOn) apart.fill(0);
		if (growing) {
			const wanted = crop.wantedBy(day);
			totals.wanted = Math.max(totals.wanted, wanted);
			totals.takenUp += takeUp(totals.wanted - totals.takenUp, rooted, nitrate, ammonium, cohorts, model, {
				day,
				apart
			});
			const missing = totals.wanted - totals.takenUp;
			if (missing > LEAST_SHORT && missing > (1 - SHORT_SHARE) * totals.wanted) run.shortDays++;
		}

		const waiting = cohorts.reduce((all, { coated, urea, ammonium: own }) => all + coated + urea + own, 0);
		const inGround = sum(nitrate) + sum(ammonium) + waiting;
		const out = totals.takenUp + totals.volatilised + totals.denitrified + totals.leached;
		run.soilC[day] = soilC;
		run.waterMm[day] = water.mm[0]!;
		run.saturated[day] = isSaturated(water, 0) ? 1 : 0;
		run.inGround[day] = inGround;
		run.nitrate[day] = sum(nitrate);
		run.tiedUp[day] = cover.held;
		for (const key of TOTALS) run[key][day] = totals[key];
		run.unbalanced[day] = initial + totals.applied + totals.mineralised - out - inGround - cover.held;
	}
	return run;
}

const TOTALS = ['wanted', 'takenUp', 'volatilised', 'denitrified', 'leached', 'mineralised', 'applied'] as const;

function emptyRun(days: number): SeasonRun {
	const series = () => new Float64Array(days);
	return {
		days,
		soilC: series(),
		waterMm: series(),
		saturated: new Uint8Array(days),
		inGround: series(),
		nitrate: series(),
		wanted: series(),
		takenUp: series(),
		volatilised: series(),
		denitrified: series(),
		leached: series(),
		mineralised: series(),
		applied: series(),
		tiedUp: series(),
		unbalanced: series(),
		shortDays: 0
	};
}

function sum(values: Float64Array): number {
	return values[0]! + values[1]! + values[2]!;
}

/** Layers that roots reach, in parts of a layer. */
function rootedLayers(sincePlanting: number, { roots }: SeasonModel): number {
	const cm = Math.max(0, sincePlanting - roots.emergenceDays) * roots.cmPerDay;
	return Math.min(LAYERS, cm / LAYER_CM);
}

/** Evaporation and transpiration against the reference: bare ground little, full cover all. */
function coverShare(growing: boolean, sincePlanting: number, { evaporation }: SeasonModel): number {
	const { bareShare, fullCoverDays } = evaporation;
	return growing ? bareShare + (1 - bareShare) * Math.min(1, sincePlanting / fullCoverDays) : bareShare;
}

/** Drainage carries the nitrate of its layer at its concentration. Returns what left the lowest layer, kg N/ha. */
function carryNitrateDown(nitrate: Float64Array, mm: Float64Array, drained: Float64Array, apart: Float64Array): number {
	let from = 0;
	for (let layer = 0; layer < LAYERS; layer++) {
		nitrate[layer]! += from;
		const water = mm[layer]! + drained[layer]!;
		from = water > 0 ? (nitrate[layer]! * drained[layer]!) / water : 0;
		nitrate[layer]! -= from;
		if (water > 0) apart[layer]! *= mm[layer]! / water;
	}
	return from;
}

/** Nitrate of a dressing joins its layer; that of a band between the rows lies apart until roots get there. */
function addNitrate(cohort: Cohort, kilograms: number, day: number, nitrate: Float64Array, apart: Float64Array): void {
	const layer = layerOf(cohort);
	nitrate[layer]! += kilograms;
	if (isApart(cohort, day)) apart[layer]! += kilograms;
}

function isApart({ dressing }: Cohort, day: number): boolean {
	return dressing.reachedOn !== undefined && day < dressing.reachedOn;
}

/** Ammonium of a dressing that turns to nitrate today, kg N/ha: late in a band, slower with an inhibitor. */
function nitrifyCohort(cohort: Cohort, soilC: number, moisture: number, model: SeasonModel): number {
	const { nitrification, nitrificationInhibitor: inhibitor } = model;
	const warmth = nitrificationAgainst16(nitrification, soilC);
	let share = 1;
	if (cohort.lag > 0) {
		share = Math.max(0, 1 - cohort.lag);
		cohort.lag = Math.max(0, cohort.lag - 1);
	}
	if (cohort.dressing.nitrificationInhibitor) {
		share *= 1 - inhibitor.share * Math.exp(-cohort.aged / inhibitor.fadesInDaysAt16);
		cohort.aged += inhibitor.q10 ** ((soilC - 16) / 10);
	}
	const turned = cohort.ammonium * Math.min(1, nitrification.perDayAt16 * warmth * moisture * share);
	cohort.ammonium -= turned;
	return turned;
}

/** A killed cereal ties nitrogen of the top layer up first and gives a part of it back later. */
function coverDay(
	cover: { held: number },
	sinceKilled: number,
	nitrate: Float64Array,
	ammonium: Float64Array,
	{ coverCrop }: SeasonModel
): void {
	const { tiesUpKgHa, overDays, givesBackShare, thenDays } = coverCrop;
	if (sinceKilled < 0) return;
	if (sinceKilled < overDays) {
		const wanted = tiesUpKgHa / overDays;
		const fromAmmonium = Math.min(ammonium[0]!, wanted);
		const fromNitrate = Math.min(nitrate[0]!, wanted - fromAmmonium);
		ammonium[0]! -= fromAmmonium;
		nitrate[0]! -= fromNitrate;
		cover.held += fromAmmonium + fromNitrate;
	} else if (sinceKilled < overDays + thenDays) {
		const left = overDays + thenDays - sinceKilled;
		const goal = tiesUpKgHa * (1 - givesBackShare);
		const back = Math.max(0, cover.held - goal) / left;
		cover.held -= back;
		ammonium[0]! += back;
	}
}

/** What a day takes of the nitrate in saturated layers, kg N/ha. */
function denitrify(nitrate: Float64Array, water: SoilWater, soilC: number, { denitrification }: SeasonModel): number {
	const percent = denitrifiedPercent(denitrification.percentByC, soilC);
	let all = 0;
	for (let layer = 0; layer < LAYERS; layer++) {
		if (!isSaturated(water, layer)) continue;
		const lost = (nitrate[layer]! * percent) / 100;
		nitrate[layer]! -= lost;
		all += lost;
	}
	return all;
}

/** The crop takes what it wants of what its roots reach, nitrate first; kg N/ha. */
function takeUp(
	wanted: number,
	rooted: number,
	nitrate: Float64Array,
	ammonium: Float64Array,
	cohorts: readonly Cohort[],
	{ roots }: SeasonModel,
	{ day, apart }: { day: number; apart: Float64Array }
): number {
	let left = Math.max(0, wanted);
	let taken = 0;
	for (let layer = 0; layer < LAYERS && left > 0; layer++) {
		const reach = Math.min(1, Math.max(0, rooted - layer));
		const within = Math.max(0, nitrate[layer]! - apart[layer]!);
		const fromNitrate = Math.min(left, within * reach * roots.nitrateShareInReach);
		nitrate[layer]! -= fromNitrate;
		const fromAmmonium = Math.min(left - fromNitrate, ammonium[layer]! * reach * roots.ammoniumShareInReach);
		ammonium[layer]! -= fromAmmonium;
		left -= fromNitrate + fromAmmonium;
		taken += fromNitrate + fromAmmonium;
	}
	for (const cohort of cohorts) {
		if (isApart(cohort, day)) continue;
		const reach = Math.min(1, Math.max(0, rooted - layerOf(cohort)));
		const own = Math.min(left, cohort.ammonium * reach * roots.ammoniumShareInReach);
		cohort.ammonium -= own;
		left -= own;
		taken += own;
	}
	return taken;
}
