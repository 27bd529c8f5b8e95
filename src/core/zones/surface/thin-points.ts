import { cellAt, gridOf, positionOf } from './field-grid';
import { insideTest } from '../../ground/shapes/inside';
import type { Shape } from '../../ground/shapes/shape';
import type { PlacedPoint } from '../../schema-types';
import { spreadOf, type PlacedValue } from './sample-points';

/** Points that a layer keeps. */
export interface ThinnedPoints {
	points: PlacedPoint[];
	/** What was left out or put together, in whole sentences. */
	notes: string[];
}

/** A layer holds at most so many points; more are put together as means of cells. */
export const MOST_KEPT = 20_000;
/** Side of the first cells tried, metres: a monitor's log is no finer than its swath. */
const CELL_M = 5;
/** A value so many standard deviations off is a fault of the sensor: common practice in cleaning yield maps. */
const MOST_DEVIATIONS = 3;
/** Fewer points than this are samples that were taken one by one; none of them is a fault to be swept away. */
const LEAST_TO_CLEAN = 200;
const DIGITS = 7;

/** The points of a field without those outside it and a sensor's faults; dense ones as means of cells. */
export function thinPoints(values: readonly PlacedValue[], field: Shape): ThinnedPoints {
	const inField = insideTest(field);
	const own = values.filter(([x, y, value]) => Number.isFinite(value) && inField([x, y]));
	const notes: string[] = [];
	if (own.length < values.length)
		notes.push(`${values.length - own.length} of ${values.length} points lie outside the field.`);
	const clean = own.length < LEAST_TO_CLEAN ? own : withoutFaults(own);
	if (clean.length < own.length) {
		notes.push(
			`${own.length - clean.length} values more than ${MOST_DEVIATIONS} standard deviations off were left out.`
		);
	}
	if (clean.length <= MOST_KEPT / 4) return { points: clean.map(rounded), notes };
	const { points, cellM } = coarser(clean, field, MOST_KEPT);
	notes.push(`${clean.length} points were put together as means of ${points.length} cells of ${Math.round(cellM)} m.`);
	return { points, notes };
}

/** Points as means of the smallest cells by which there are at most so many. */
export function coarser(
	values: readonly PlacedValue[],
	field: Shape,
	most: number
): { points: PlacedPoint[]; cellM: number } {
	for (let cellM = CELL_M; ; cellM *= 1.5) {
		const points = meansOfCells(values, field, cellM);
		if (points.length <= most) return { points, cellM };
	}
}

function withoutFaults(values: readonly PlacedValue[]): PlacedValue[] {
	const { mean, variance } = spreadOf(values.map(([, , value]) => value));
	const most = MOST_DEVIATIONS * Math.sqrt(variance);
	return values.filter(([, , value]) => Math.abs(value - mean) <= most);
}

function meansOfCells(values: readonly PlacedValue[], field: Shape, cellM: number): PlacedPoint[] {
	const grid = gridOf(field, cellM);
	const sums = new Map<number, { sum: number; count: number }>();
	for (const [x, y, value] of values) {
		const cell = cellAt(grid, [x, y]);
		if (cell === undefined) continue;
		const known = sums.get(cell);
		if (known) {
			known.sum += value;
			known.count++;
		} else sums.set(cell, { sum: value, count: 1 });
	}
	return [...sums].map(([cell, { sum, count }]) => {
		const [x = NaN, y = NaN] = positionOf(grid, cell);
		return rounded([x, y, sum / count]);
	});
}

function rounded([x, y, value]: PlacedValue): PlacedPoint {
	return [Number(x.toFixed(DIGITS)), Number(y.toFixed(DIGITS)), Number(value.toPrecision(DIGITS))];
}
