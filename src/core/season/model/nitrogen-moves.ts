import type { SeasonModel } from '../../schema-types';
import { layerOf, type Cohort } from './dressing';
import { byQ10, denitrifiedPercent, nitrificationAgainst16 } from './rates-by-temperature';
import { isSaturated, LAYERS, type SoilWater } from './soil-water';

/** Drainage carries the nitrate of its layer at its concentration. Returns what left the lowest layer, kg N/ha. */
export function carryNitrateDown(
	nitrate: Float64Array,
	mm: Float64Array,
	drained: Float64Array,
	apart: Float64Array
): number {
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
export function addNitrate(
	cohort: Cohort,
	kilograms: number,
	day: number,
	nitrate: Float64Array,
	apart: Float64Array
): void {
	const layer = layerOf(cohort);
	nitrate[layer]! += kilograms;
	if (isApart(cohort, day)) apart[layer]! += kilograms;
}

function isApart({ dressing }: Cohort, day: number): boolean {
	return dressing.reachedOn !== undefined && day < dressing.reachedOn;
}

/** Ammonium of a dressing that turns to nitrate today, kg N/ha: late in a band, slower with an inhibitor. */
export function nitrifyCohort(cohort: Cohort, soilC: number, moisture: number, model: SeasonModel): number {
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
export function coverDay(
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

/**
 * What killed legumes, or manure by their pace, give on a day of what they have left to give, kg N/ha: by warmth, none at or below
 * freezing.
 */
export function givenOffOn(
	source: { from: number; gives: number },
	day: number,
	soilC: number,
	{ legumeCover: { halfInDaysAt20, q10 } }: SeasonModel
): number {
	if (day < source.from) return 0;
	const given = source.gives * (1 - 0.5 ** byQ10(1 / halfInDaysAt20, q10, soilC));
	source.gives -= given;
	return given;
}

/** What a day takes of the nitrate in saturated layers, kg N/ha. */
export function denitrify(
	nitrate: Float64Array,
	water: SoilWater,
	soilC: number,
	{ denitrification }: SeasonModel
): number {
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
export function takeUp(
	wanted: number,
	rooted: number,
	nitrate: Float64Array,
	ammonium: Float64Array,
	cohorts: readonly Cohort[],
	{ roots }: Pick<SeasonModel, 'roots'>,
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
