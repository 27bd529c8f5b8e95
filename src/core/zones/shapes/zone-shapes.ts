import { intersect } from '@turf/intersect';
import type { Position } from 'geojson';
import type { Shape } from '../../ground/shapes/shape';
import type { CellZones } from './cell-zones';
import type { FieldGrid } from '../surface/field-grid';
import { neighbours, patchesOf } from './merge-slivers';

/** Rings of cells by which zones are grown over the boundary, so that cutting leaves no gap along it. */
const GROWN = 3;
const DECIMALS = 1e7;

/**
 * The shapes of zones: outlines of their cells, cut by the boundary, so that together they are the field.
 * @returns by zone; a zone without ground is left out
 */
export function zoneShapes(zones: CellZones, grid: FieldGrid, field: Shape): Map<number, Shape> {
	const grown = growOver(zones, grid.columns);
	const parts = new Map<number, Position[][][]>();
	for (const { zone, cells } of patchesOf(grown, grid.columns)) {
		const rings = outline(new Set(cells), grid);
		parts.set(zone, [...(parts.get(zone) ?? []), rings]);
	}
	const shapes = new Map<number, Shape>();
	for (const [zone, coordinates] of [...parts].sort((a, b) => a[0] - b[0])) {
		const cut = intersect({
			type: 'FeatureCollection',
			features: [
				{ type: 'Feature', properties: {}, geometry: { type: 'MultiPolygon', coordinates } },
				{ type: 'Feature', properties: {}, geometry: field }
			]
		});
		if (cut) shapes.set(zone, cut.geometry);
	}
	return shapes;
}

function growOver(zones: CellZones, columns: number): CellZones {
	let now = zones;
	for (let ring = 0; ring < GROWN; ring++) {
		const next = now.slice();
		for (let cell = 0; cell < now.length; cell++) {
			if (now[cell]! >= 0) continue;
			const beside = neighbours(cell, columns, now.length).find((one) => now[one]! >= 0);
			if (beside !== undefined) next[cell] = now[beside]!;
		}
		now = next;
	}
	return now;
}

/** The rings around cells that hang together, the outer one first and anticlockwise, holes clockwise. */
function outline(cells: ReadonlySet<number>, grid: FieldGrid): Position[][] {
	const { columns } = grid;
	const corner = (column: number, row: number) => row * (columns + 1) + column;
	/** Edges that have a cell on their left, from corner to corner. */
	const from = new Map<number, number[]>();
	const edge = (a: number, b: number) => from.set(a, [...(from.get(a) ?? []), b]);
	for (const cell of cells) {
		const column = cell % columns;
		const row = Math.floor(cell / columns);
		if (row === 0 || !cells.has(cell - columns)) edge(corner(column, row), corner(column + 1, row));
		if (column === columns - 1 || !cells.has(cell + 1)) edge(corner(column + 1, row), corner(column + 1, row + 1));
		if (!cells.has(cell + columns)) edge(corner(column + 1, row + 1), corner(column, row + 1));
		if (column === 0 || !cells.has(cell - 1)) edge(corner(column, row + 1), corner(column, row));
	}
	const rings: number[][] = [];
	for (const start of from.keys()) {
		while (from.get(start)?.length) rings.push(ringFrom(start, from, columns + 1));
	}
	rings.sort((a, b) => signedArea(b, columns + 1) - signedArea(a, columns + 1));
	return rings.map((ring) => withoutStraights(ring).map((point) => degreesOf(point, grid)));
}

/** Follows edges to where they began; where two ways lead on, the left one, which stays with the same cell. */
function ringFrom(start: number, from: Map<number, number[]>, stride: number): number[] {
	const ring = [start];
	let before = start;
	let at = take(from, start, 0);
	while (at !== start) {
		ring.push(at);
		const ways = from.get(at)!;
		const left = turnLeft(at - before, stride);
		const chosen = Math.max(0, ways.indexOf(at + left));
		before = at;
		at = take(from, at, chosen);
	}
	return [...ring, start];
}

function take(from: Map<number, number[]>, corner: number, way: number): number {
	const ways = from.get(corner)!;
	const [next] = ways.splice(way, 1);
	if (ways.length === 0) from.delete(corner);
	return next!;
}

/** East becomes north, north west, west south, south east. */
function turnLeft(step: number, stride: number): number {
	if (step === 1) return stride;
	if (step === stride) return -1;
	return step === -1 ? -stride : 1;
}

function signedArea(ring: readonly number[], stride: number): number {
	let sum = 0;
	for (let at = 0; at + 1 < ring.length; at++) {
		const [a, b] = [ring[at]!, ring[at + 1]!];
		sum += (a % stride) * Math.floor(b / stride) - (b % stride) * Math.floor(a / stride);
	}
	return sum;
}

function withoutStraights(ring: readonly number[]): number[] {
	const open = ring.slice(0, -1);
	const corners = open.filter((point, at) => {
		const before = open.at(at - 1)!;
		const after = open[(at + 1) % open.length]!;
		return point - before !== after - point;
	});
	return [...corners, corners[0]!];
}

function degreesOf(corner: number, { plane, west, south, cellM, columns }: FieldGrid): Position {
	const east = west + (corner % (columns + 1)) * cellM;
	const north = south + Math.floor(corner / (columns + 1)) * cellM;
	return plane.toDegrees(east, north).map((part) => Math.round(part * DECIMALS) / DECIMALS);
}
