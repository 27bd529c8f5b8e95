import type { CellZones } from './cell-zones';
import type { FieldGrid } from '../surface/field-grid';

/**
 * Zones without slivers: each patch smaller than the least area joins the zone that it has the longest border with,
 * the smallest patches first. A field smaller than that stays one patch.
 * @param leastCells cells in the smallest patch that a machine can follow
 */
export function mergeSlivers(zones: CellZones, { columns }: Pick<FieldGrid, 'columns'>, leastCells: number): CellZones {
	const result = zones.slice();
	for (;;) {
		const [small] = patchesOf(result, columns)
			.filter(({ cells }) => cells.length < leastCells)
			.sort((a, b) => a.cells.length - b.cells.length);
		if (!small) return result;
		const next = neighbourOf(result, columns, small.cells);
		// A patch with no neighbour is an island of the field: it is its own zone, or part of its zone, as it stands.
		if (next === undefined) return withIslands(result, columns, leastCells);
		for (const cell of small.cells) result[cell] = next;
	}
}

/** Cells of one zone that hang together edge to edge. */
export interface Patch {
	zone: number;
	cells: number[];
}

/** The patches of all zones, in order of their first cell. */
export function patchesOf(zones: CellZones, columns: number): Patch[] {
	const seen = new Uint8Array(zones.length);
	const patches: Patch[] = [];
	for (let start = 0; start < zones.length; start++) {
		const zone = zones[start]!;
		if (zone < 0 || seen[start]) continue;
		const cells = [start];
		seen[start] = 1;
		// The list grows while it is walked.
		for (const cell of cells) {
			for (const beside of neighbours(cell, columns, zones.length)) {
				if (zones[beside] !== zone || seen[beside]) continue;
				seen[beside] = 1;
				cells.push(beside);
			}
		}
		patches.push({ zone, cells });
	}
	return patches;
}

/** Cells that share an edge with one. */
export function neighbours(cell: number, columns: number, count: number): number[] {
	const column = cell % columns;
	const list: number[] = [];
	if (column > 0) list.push(cell - 1);
	if (column < columns - 1) list.push(cell + 1);
	if (cell >= columns) list.push(cell - columns);
	if (cell + columns < count) list.push(cell + columns);
	return list;
}

function neighbourOf(zones: CellZones, columns: number, cells: readonly number[]): number | undefined {
	const own = zones[cells[0]!]!;
	const borders = new Map<number, number>();
	for (const cell of cells) {
		for (const beside of neighbours(cell, columns, zones.length)) {
			const zone = zones[beside]!;
			if (zone >= 0 && zone !== own) borders.set(zone, (borders.get(zone) ?? 0) + 1);
		}
	}
	return [...borders].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0];
}

/** Goes on with the slivers that do have a neighbour. */
function withIslands(zones: CellZones, columns: number, leastCells: number): CellZones {
	const result = zones.slice();
	for (const { cells } of patchesOf(result, columns)) {
		if (cells.length >= leastCells) continue;
		const next = neighbourOf(result, columns, cells);
		if (next !== undefined) for (const cell of cells) result[cell] = next;
	}
	return result;
}
