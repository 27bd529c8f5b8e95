import type { Station } from '../../schema-types';
import { normalOn } from './generate-weather';
import { DAY_MS } from '../../units/factors';

/** Soil at 4 in follows the air by some days: common practice. */
const LAG_DAYS = 5;
/** Corn growing degree days: clamps in F, emergence and leaves; Nielsen, Purdue (memory). */
const LEAST_F = 50;
const MOST_F = 86;
const EMERGENCE_GDD = 118;
const GDD_PER_LEAF = { toV10: 82, beyond: 50 } as const;

/** The usual soil temperature at 4 in on a day by a station's normals, C. */
export function usualSoilC({ months }: Station, date: string): number {
	const { minC, maxC } = normalOn(months, new Date(Date.parse(date) - LAG_DAYS * DAY_MS));
	return (minC + maxC) / 2;
}

/** Growing degree days of corn in a day, F: min and max kept from 50 to 86, mean less 50; Nielsen, Purdue (memory). */
export function cornDegreeDays(minC: number, maxC: number): number {
	const kept = (celsius: number) => Math.min(MOST_F, Math.max(LEAST_F, celsius * 1.8 + 32));
	return (kept(minC) + kept(maxC)) / 2 - LEAST_F;
}

/** Leaf collars of corn by its degree days since planting: (GDD - 118)/82 to V10, then 50 for each; Nielsen (memory). */
export function cornLeaves(degreeDays: number): number {
	const leaves = (degreeDays - EMERGENCE_GDD) / GDD_PER_LEAF.toV10;
	return leaves <= 10 ? Math.max(0, leaves) : 10 + ((leaves - 10) * GDD_PER_LEAF.toV10) / GDD_PER_LEAF.beyond;
}

/** The usual leaf stage of corn on a day, by a station's normals. */
export function usualCornLeaves({ months }: Station, planting: string, date: string): number {
	let degreeDays = 0;
	for (let at = Date.parse(planting); at < Date.parse(date); at += DAY_MS) {
		const { minC, maxC } = normalOn(months, new Date(at));
		degreeDays += cornDegreeDays(minC, maxC);
	}
	return cornLeaves(degreeDays);
}

/** The day on which corn usually has so many leaves. */
export function usualDayOfLeaves(station: Station, planting: string, leaves: number): string {
	for (let at = 0; at < 200; at++) {
		const day = new Date(Date.parse(planting) + at * DAY_MS).toISOString().slice(0, 10);
		if (usualCornLeaves(station, planting, day) >= leaves) return day;
	}
	return planting;
}
