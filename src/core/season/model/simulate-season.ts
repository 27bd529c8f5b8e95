import type { HeldWater, SeasonModel } from '../../schema-types';
import { layerOf, startCohort, type Cohort, type Dressing } from './dressing';
import { referenceEvaporation } from './evaporation';
import { addNitrate, carryNitrateDown, coverDay, denitrify, givenOffOn, nitrifyCohort, takeUp } from './nitrogen-moves';
import { byQ10, nitrificationAgainst16 } from './rates-by-temperature';
import { emptyRun, TOTALS, type SeasonRun } from './season-run';
import { isSaturated, LAYER_CM, LAYERS, moistureShare, soilWaterAtCapacity, waterDay } from './soil-water';
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
	/** A cover crop of legumes, killed on this day of the run, kg N/ha that it gives; undefined where there is none. */
	/** What gives nitrogen off from a day on: killed legumes, and what is credited without a pass; kg N/ha. */
	givenOff: readonly { from: number; gives: number }[];
}

/** What grows: nitrogen taken up by a day of the run without want, kg N/ha. */
export interface SeasonCrop {
	/** Day of the run on which it is planted. */
	planted: number;
	/** Day of the run on which it is harvested. */
	harvested: number;
	/** A perennial: its roots are there, and it covers the ground from its bud break. */
	established: boolean;
	wantedBy: (day: number) => number;
	/** Share of the ground that it covers on a day, where this follows its growth; else cover grows with the days from planting. */
	coverOn?: (day: number) => number;
	/** What is sown or planted after it, with its own roots. */
	then?: SeasonCrop & Pick<SeasonModel, 'roots'>;
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
	const grown = oneAfterTheOther(crop, model);
	/** Of what grows after the harvest, each. */
	const caughtBy = new Map<SeasonCrop, number>();
	const cover = { held: 0 };
	const givenOff = soil.givenOff.map((one) => ({ ...one }));
	const totals = {
		wanted: 0,
		takenUp: 0,
		volatilised: 0,
		denitrified: 0,
		leached: 0,
		mineralised: 0,
		applied: 0,
		caught: 0
	};
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

		const standing = grown.find((one) => day >= one.planted && day < one.harvested);
		const sincePlanting = standing ? day - standing.planted : 0;
		const rooted = !standing ? 0 : standing.established ? LAYERS : rootedLayers(sincePlanting, model);
		const dayOfYear = ((weather.firstDayOfYear + day - 1) % START_YEAR_DAYS) + 1;
		const reference = referenceEvaporation(minC, maxC, weather.latitude, dayOfYear);
		waterDay(
			water,
			rain,
			reference * drinkingShare(standing && coverOf(standing, day, model), model),
			Math.max(1, Math.ceil(rooted))
		);
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
		const released = givenOff.reduce((all, one) => all + givenOffOn(one, day, soilC, model), 0);
		ammonium[0]! += released;
		totals.mineralised += released;
		if (soil.coverKilledOn !== undefined) coverDay(cover, day - soil.coverKilledOn, nitrate, ammonium, model);

		totals.denitrified += denitrify(nitrate, water, soilC, model);
		if (day >= reachedOn) apart.fill(0);
		const reach = { day, apart };
		if (standing && standing !== grown[0]) {
			const has = caughtBy.get(standing) ?? 0;
			const taken = takeUp(standing.wantedBy(day) - has, rooted, nitrate, ammonium, cohorts, standing, reach);
			caughtBy.set(standing, has + taken);
			totals.caught += taken;
		} else if (standing) {
			const wanted = standing.wantedBy(day);
			totals.wanted = Math.max(totals.wanted, wanted);
			totals.takenUp += takeUp(totals.wanted - totals.takenUp, rooted, nitrate, ammonium, cohorts, model, reach);
			const missing = totals.wanted - totals.takenUp;
			if (missing > LEAST_SHORT && missing > (1 - SHORT_SHARE) * totals.wanted) run.shortDays++;
		}

		const waiting = cohorts.reduce((all, { coated, urea, ammonium: own }) => all + coated + urea + own, 0);
		const inGround = sum(nitrate) + sum(ammonium) + waiting;
		const out = totals.takenUp + totals.caught + totals.volatilised + totals.denitrified + totals.leached;
		run.soilC[day] = soilC;
		run.waterMm[day] = water.mm[0]!;
		run.saturated[day] = isSaturated(water, 0) ? 1 : 0;
		run.inGround[day] = inGround;
		run.nitrate[day] = sum(nitrate);
		run.topNitrate[day] = nitrate[0]!;
		run.tiedUp[day] = cover.held;
		for (const key of TOTALS) run[key][day] = totals[key];
		run.unbalanced[day] = initial + totals.applied + totals.mineralised - out - inGround - cover.held;
	}
	return run;
}

/** The crop and what grows after it, each with its roots. */
function oneAfterTheOther(
	crop: SeasonCrop | undefined,
	{ roots }: SeasonModel
): (SeasonCrop & Pick<SeasonModel, 'roots'>)[] {
	const grown = [];
	for (let one: SeasonCrop['then'] = crop && { roots, ...crop }; one; one = one.then) grown.push(one);
	return grown;
}

function sum(values: Float64Array): number {
	return values[0]! + values[1]! + values[2]!;
}

/** Layers that roots reach, in parts of a layer. */
function rootedLayers(sincePlanting: number, { roots }: SeasonModel): number {
	const cm = Math.max(0, sincePlanting - roots.emergenceDays) * roots.cmPerDay;
	return Math.min(LAYERS, cm / LAYER_CM);
}

/** Share of the ground that a crop covers on a day, 0 to 1. */
function coverOf({ coverOn, established, planted }: SeasonCrop, day: number, { evaporation }: SeasonModel): number {
	if (established) return 1;
	return coverOn?.(day) ?? Math.min(1, (day - planted) / evaporation.fullCoverDays);
}

/** Evaporation and transpiration against the reference: bare ground little, full cover all. */
function drinkingShare(cover: number | undefined, { evaporation: { bareShare } }: SeasonModel): number {
	return bareShare + (1 - bareShare) * (cover ?? 0);
}
