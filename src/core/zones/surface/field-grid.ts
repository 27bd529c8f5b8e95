import type { Position } from 'geojson';
import { insideTest } from '../../ground/shapes/inside';
import { planeAt, type LocalPlane } from '../../ground/shapes/local-plane';
import { boundsOf, type Shape } from '../../ground/shapes/shape';

/** Square cells over a field, row by row from the south-west corner; the outermost ring of cells lies outside. */
export interface FieldGrid {
	plane: LocalPlane;
	/** South-west corner, metres in the plane. */
	west: number;
	south: number;
	cellM: number;
	columns: number;
	rows: number;
	/** 1 where the middle of the cell lies in the field. */
	inside: Uint8Array;
}

/** More cells than this neither fit a monitor nor say more. */
export const MOST_CELLS = 1_000_000;

/**
 * The cells of a field.
 * @param cellM side of a cell, metres
 * @throws RangeError where there would be more than MOST_CELLS of them, or none
 */
export function gridOf(shape: Shape, cellM: number): FieldGrid {
	const bounds = boundsOf([shape]);
	if (!bounds) throw new RangeError('the field has no boundary');
	const [west, south, east, north] = bounds;
	const plane = planeAt((west + east) / 2, (south + north) / 2);
	const [left, bottom] = plane.toMetres([west, south]);
	const [right, top] = plane.toMetres([east, north]);
	const columns = Math.ceil((right - left) / cellM) + 2;
	const rows = Math.ceil((top - bottom) / cellM) + 2;
	if (columns * rows > MOST_CELLS) {
		throw new RangeError(`cells of ${cellM} m would be ${columns * rows}; at most ${MOST_CELLS}: take larger ones`);
	}
	const grid = { plane, west: left - cellM, south: bottom - cellM, cellM, columns, rows };
	const inField = insideTest(shape);
	const inside = new Uint8Array(columns * rows);
	for (let cell = 0; cell < inside.length; cell++) inside[cell] = inField(positionOf(grid, cell)) ? 1 : 0;
	if (!inside.includes(1)) throw new RangeError(`a cell of ${cellM} m is larger than the field: take smaller ones`);
	return { ...grid, inside };
}

/** The middle of a cell, metres in the plane. */
export function middleOf({ west, south, cellM, columns }: Omit<FieldGrid, 'inside'>, cell: number): [number, number] {
	return [west + ((cell % columns) + 0.5) * cellM, south + (Math.floor(cell / columns) + 0.5) * cellM];
}

/** The middle of a cell, degrees. */
export function positionOf(grid: Omit<FieldGrid, 'inside'>, cell: number): Position {
	return grid.plane.toDegrees(...middleOf(grid, cell));
}

/** The cell in which a point lies; undefined where it lies off the grid. */
export function cellAt(
	{ plane, west, south, cellM, columns, rows }: FieldGrid,
	position: Position
): number | undefined {
	const [east, north] = plane.toMetres(position);
	const column = Math.floor((east - west) / cellM);
	const row = Math.floor((north - south) / cellM);
	return column >= 0 && column < columns && row >= 0 && row < rows ? row * columns + column : undefined;
}
