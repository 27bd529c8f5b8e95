import type { Position } from 'geojson';
import { areaAcres } from '../shapes/geodesic-area';
import { insideTest } from '../shapes/inside';
import { planeAt } from '../shapes/local-plane';
import { boundsOf, partsOf, type Shape } from '../shapes/shape';
import { M2_PER_ACRE } from '../../units/factors';

/** The grid is laid from so many places along each side of a cell. */
const STARTS = 5;
/** More points than this in a field are no plan. */
const MOST_POINTS = 500;
/** A cell that finds no point inside is halved so often at most. */
const MOST_HALVINGS = 6;
/** Of a degree: a hand's breadth. */
const DIGITS = 6;

/**
 * Points of a square grid inside a field, one for so many acres, rows from north to south and each from west to east. Of several ways
 * to lay the grid the one is taken whose number of points comes nearest to acres of the field over acres of a cell.
 * @param acresEach acres that a point stands for
 * @returns one point at least; undefined where it would be more than 500
 */
export function gridPoints(field: Shape, acresEach: number): Position[] | undefined {
	const wanted = Math.max(1, Math.round(areaAcres(field) / acresEach));
	if (wanted > MOST_POINTS) return undefined;
	const side = Math.sqrt(acresEach * M2_PER_ACRE);
	for (let halvings = 0; halvings <= MOST_HALVINGS; halvings++) {
		const points = nearestGrid(field, side / 2 ** halvings, wanted);
		// A field narrower than a cell may lie between the lines of every grid: a finer one finds ground in it.
		if (points.length > 0) return halvings === 0 ? points : [points[Math.floor(points.length / 2)]!];
	}
	return [partsOf(field)[0]![0]![0]!];
}

/** The grid of cells of such a side, metres, that has nearest to so many points inside. */
function nearestGrid(field: Shape, side: number, wanted: number): Position[] {
	const [left, bottom, right, top] = boundsOf([field])!;
	const plane = planeAt((left + right) / 2, (bottom + top) / 2);
	const [west, south] = plane.toMetres([left, bottom]);
	const [east, north] = plane.toMetres([right, top]);
	const isInside = insideTest(field);
	let best: Position[] = [];
	for (let start = 0; start < STARTS ** 2; start++) {
		const [over, down] = [(start % STARTS) + 0.5, Math.floor(start / STARTS) + 0.5];
		const points: Position[] = [];
		for (let y = north - (down / STARTS) * side; y > south; y -= side) {
			for (let x = west + (over / STARTS) * side; x < east; x += side) {
				const at = plane.toDegrees(x, y).map((degrees) => Number(degrees.toFixed(DIGITS)));
				if (isInside(at)) points.push(at);
			}
		}
		if (Math.abs(points.length - wanted) < Math.abs(best.length - wanted)) best = points;
	}
	return best;
}
