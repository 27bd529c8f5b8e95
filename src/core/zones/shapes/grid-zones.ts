import type { Shape } from '../../ground/shapes/shape';
import { gridOf } from '../surface/field-grid';
import { zoneShapes } from './zone-shapes';

/** More squares than this are no zones that somebody samples. */
export const MOST_SQUARES = 200;
const LETTERS = 26;

/**
 * A field in squares, as it is sampled by a grid: named by column and row from the north-west, A1 first. What is left
 * over along the boundary goes to the square beside it.
 * @throws RangeError where there would be more than MOST_SQUARES
 */
export function gridZones(field: Shape, sideM: number): { name: string; shape: Shape }[] {
	const grid = gridOf(field, sideM);
	const cells = [...grid.inside.keys()].filter((cell) => grid.inside[cell]);
	if (cells.length > MOST_SQUARES) {
		throw new RangeError(
			`squares of ${Math.round(sideM)} m would be ${cells.length}; at most ${MOST_SQUARES}: take larger ones`
		);
	}
	const zones = new Int16Array(grid.inside.length).fill(-1);
	cells.forEach((cell, at) => (zones[cell] = at));
	const rows = cells.map((cell) => Math.floor(cell / grid.columns));
	const columns = cells.map((cell) => cell % grid.columns);
	const [top, left] = [Math.max(...rows), Math.min(...columns)];
	return [...zoneShapes(zones, grid, field)].map(([zone, shape]) => ({
		name: `${lettersOf(columns[zone]! - left)}${top - rows[zone]! + 1}`,
		shape
	}));
}

/** A to Z, then AA, AB and so on. */
function lettersOf(column: number): string {
	const last = String.fromCharCode(65 + (column % LETTERS));
	return column < LETTERS ? last : lettersOf(Math.floor(column / LETTERS) - 1) + last;
}
