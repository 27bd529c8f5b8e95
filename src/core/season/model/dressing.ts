import type { SeasonModel } from '../../schema-types';

/** How a dressing lies in the soil. */
export type Lies = 'surface' | 'surface band' | 'mixed in' | 'band';

/** Nitrogen put on in one pass, kg N/ha by form. */
export interface Dressing {
	/** Day of the run on which it goes on, from 0. */
	day: number;
	nitrate: number;
	ammonium: number;
	urea: number;
	/** Urea in coats that release it slowly. */
	coated: number;
	/** Ammonia: its band starts to turn late. */
	ammonia: boolean;
	lies: Lies;
	depthCm: number;
	ureaseInhibitor: boolean;
	nitrificationInhibitor: boolean;
	/** Day of the run from which roots reach a band between the rows; undefined where it lies within reach. */
	reachedOn?: number | undefined;
}

/** What is left of a dressing in its own place. */
export interface Cohort {
	dressing: Dressing;
	coated: number;
	urea: number;
	ammonium: number;
	/** Days until the band starts to turn. */
	lag: number;
	/** Days at 16 C by which the nitrification inhibitor has aged. */
	aged: number;
	/** Days since it went on. */
	days: number;
	/** mm of rain since it went on, up to what washes it in. */
	washed: number;
}

export function startCohort(dressing: Dressing, { nitrification }: SeasonModel): Cohort {
	return {
		dressing,
		coated: dressing.coated,
		urea: dressing.urea,
		ammonium: dressing.ammonium,
		lag: dressing.ammonia ? nitrification.bandLagDays : 0,
		aged: 0,
		days: 0,
		washed: 0
	};
}

/** The layer a dressing lies in. */
export function layerOf({ dressing: { depthCm } }: Cohort): number {
	return depthCm >= 60 ? 2 : depthCm >= 30 ? 1 : 0;
}
