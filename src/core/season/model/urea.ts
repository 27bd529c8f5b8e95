import type { SeasonModel, VolatilisationModel } from '../../schema-types';
import type { Cohort, Dressing } from './dressing';
import { byQ10 } from './rates-by-temperature';

/** What the ground brings to the loss of ammonia. */
export interface SurfaceSoil {
	soilPh: number;
	/** Straw or stover covers the ground. */
	residue: boolean;
}

/**
 * A day of urea: coats release it, rain washes it in, the rest turns to ammonium, and on the surface or in a shallow band a
 * share of what turns leaves as ammonia.
 * @returns kg N/ha lost to the air
 */
export function ureaDay(cohort: Cohort, celsius: number, rain: number, soil: SurfaceSoil, model: SeasonModel): number {
	const { hydrolysis, coatedRelease, ureaseInhibitor, volatilisation } = model;
	if (cohort.coated > 0) {
		const released = cohort.coated * byQ10(coatedRelease.perDayAt20, coatedRelease.q10, celsius);
		cohort.coated -= released;
		cohort.urea += released;
	}
	cohort.washed = Math.min(volatilisation.rainThatStopsMm, cohort.washed + rain);
	if (cohort.urea <= 0) return 0;
	const exposed = exposedShare(cohort, model);
	const guarded = cohort.dressing.ureaseInhibitor && cohort.days < ureaseInhibitor.days;
	const pace = exposed * hydrolysis.surfacePerDayAt20 + (1 - exposed) * hydrolysis.perDayAt20;
	const turned =
		cohort.urea * Math.min(1, byQ10(pace, hydrolysis.q10, celsius) * (guarded ? ureaseInhibitor.hydrolysisShare : 1));
	const kept = cohort.dressing.ureaseInhibitor ? ureaseInhibitor.lossShare : 1;
	const lost = turned * exposed * kept * lostShare(cohort, celsius, soil, model);
	cohort.urea -= turned;
	cohort.ammonium += turned - lost;
	return lost;
}

/** How much of a dressing's urea still lies open to the air: all on the surface until rain washes it in. */
function exposedShare({ dressing, washed }: Cohort, { volatilisation }: SeasonModel): number {
	const { rainThatStopsMm, safeDepthCm, shallowDepthCm } = volatilisation;
	const open = 1 - washed / rainThatStopsMm;
	switch (dressing.lies) {
		case 'surface':
		case 'surface band':
			return open;
		case 'band': {
			const from = heavyShare(dressing, volatilisation) * shallowDepthCm;
			// A closed slot guards more than its depth alone: the square of the share, judgement.
			return open * Math.min(1, Math.max(0, (safeDepthCm - dressing.depthCm) / (safeDepthCm - from))) ** 2;
		}
		case 'mixed in':
			return 0;
	}
}

/**
 * How much a concentrated band raises pH about itself, so that what lies shallow loses no less than on the surface: 0 up to the
 * pounds at which the risk begins, 1 from those on at which it is heavy.
 */
function heavyShare({ lies, urea }: Dressing, { riskyBandKgHa, heavyBandKgHa }: VolatilisationModel): number {
	if (lies !== 'band') return 0;
	return Math.min(1, Math.max(0, (urea - riskyBandKgHa) / (heavyBandKgHa - riskyBandKgHa)));
}

/** The share of what turns that leaves: more when it is warm, the soil sweet, straw about, or the band heavy. */
function lostShare(
	{ dressing }: Cohort,
	celsius: number,
	{ soilPh, residue }: SurfaceSoil,
	{ volatilisation: v }: SeasonModel
): number {
	const warm = Math.max(0, 1 + v.perDegree * (celsius - 25));
	const sweet = Math.max(0, 1 + v.perPh * (soilPh - v.referencePh));
	const straw = residue ? v.residueShare : 1;
	const stream = dressing.lies === 'surface band' ? v.surfaceBandShare : 1;
	const band = stream + (v.shallowBandShare - stream) * heavyShare(dressing, v);
	return Math.min(v.mostShare, v.shareAt25 * warm * sweet * straw * band);
}
