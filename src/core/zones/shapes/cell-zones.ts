import { kmeans } from 'ml-kmeans';
import type { FieldGrid } from '../surface/field-grid';
import { spreadOf } from '../surface/sample-points';

/** Zone of each cell, from 0; -1 outside the field. */
export type CellZones = Int16Array;

export const MOST_ZONES = 8;
/** One more zone is worth it while it takes off this share of the whole variance: judgement. */
const WORTH_A_ZONE = 0.1;
/** Groups are looked for among so many cells at most, evenly taken; all cells then join the nearest. */
const MOST_GROUPED = 5_000;
const SEED = 7;

/** How much variance is left inside so many zones, as a share of all of it. */
export interface ZoneCount {
	zones: number;
	withinShare: number;
}

/** Cells grouped by k-means on standardised layers; zones in order of the first layer, lowest first. */
export function groupCells(layers: readonly Float64Array[], { inside }: FieldGrid, zones: number): CellZones {
	const known = cellsWithAll(layers, inside);
	const rows = standardised(layers, known);
	const { centroids } = groups(rows, zones);
	const order = centroids.map((_, at) => at).sort((a, b) => centroids[a]![0]! - centroids[b]![0]!);
	const rank = new Map(order.map((group, at) => [group, at]));
	const result = new Int16Array(inside.length).fill(-1);
	rows.forEach((row, at) => (result[known[at]!] = rank.get(nearest(row, centroids))!));
	return result;
}

/** The variance that is left inside 1 to MOST_ZONES zones, and the number worth having. */
export function zoneCounts(
	layers: readonly Float64Array[],
	{ inside }: FieldGrid
): { counts: ZoneCount[]; suggested: number } {
	const rows = standardised(layers, cellsWithAll(layers, inside));
	const counts: ZoneCount[] = [];
	for (let zones = 1; zones <= Math.min(MOST_ZONES, rows.length); zones++) {
		const { centroids } = groups(rows, zones);
		const within = rows.reduce((sum, row) => sum + distance2(row, centroids[nearest(row, centroids)]!), 0);
		counts.push({ zones, withinShare: within });
	}
	const all = counts[0]?.withinShare ?? 0;
	const shares = counts.map(({ zones, withinShare }) => ({ zones, withinShare: all === 0 ? 0 : withinShare / all }));
	const enough = shares.findIndex(({ withinShare }, at) => {
		const next = shares[at + 1];
		return !next || withinShare - next.withinShare < WORTH_A_ZONE;
	});
	return { counts: shares, suggested: shares[enough]?.zones ?? 1 };
}

function groups(rows: readonly number[][], zones: number): { centroids: number[][] } {
	if (zones === 1) return { centroids: [meansOf(rows)] };
	const step = Math.max(1, Math.ceil(rows.length / MOST_GROUPED));
	const taken = rows.filter((_, at) => at % step === 0);
	const { centroids } = kmeans(taken, Math.min(zones, taken.length), { seed: SEED, initialization: 'kmeans++' });
	return { centroids };
}

/** Cells inside the field for which every layer has a value. */
function cellsWithAll(layers: readonly Float64Array[], inside: Uint8Array): number[] {
	const cells: number[] = [];
	for (let cell = 0; cell < inside.length; cell++) {
		if (inside[cell] && layers.every((layer) => Number.isFinite(layer[cell]))) cells.push(cell);
	}
	return cells;
}

function standardised(layers: readonly Float64Array[], cells: readonly number[]): number[][] {
	const scales = layers.map((layer) => spreadOf(cells.map((cell) => layer[cell]!)));
	return cells.map((cell) =>
		layers.map((layer, at) => {
			const { mean, variance } = scales[at]!;
			return variance === 0 ? 0 : (layer[cell]! - mean) / Math.sqrt(variance);
		})
	);
}

function meansOf(rows: readonly number[][]): number[] {
	return (rows[0] ?? []).map((_, column) => rows.reduce((sum, row) => sum + row[column]!, 0) / rows.length);
}

function nearest(row: readonly number[], centroids: readonly number[][]): number {
	let best = 0;
	for (let at = 1; at < centroids.length; at++) {
		if (distance2(row, centroids[at]!) < distance2(row, centroids[best]!)) best = at;
	}
	return best;
}

function distance2(a: readonly number[], b: readonly number[]): number {
	return a.reduce((sum, value, at) => sum + (value - b[at]!) ** 2, 0);
}
