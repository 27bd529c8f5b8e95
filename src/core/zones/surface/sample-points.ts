import type { LocalPlane } from '../../ground/shapes/local-plane';

/** Values at places: longitude, latitude, value. */
export type PlacedValue = readonly [number, number, number];

/** Values at places in a plane, in columns: metres east, metres north, value. */
export interface PlanePoints {
	east: Float64Array;
	north: Float64Array;
	value: Float64Array;
}

/** Places in the plane; those that share one are a single point with their mean, for two answers in one place have no surface. */
export function planePoints(values: readonly PlacedValue[], plane: LocalPlane): PlanePoints {
	const places = new Map<string, { east: number; north: number; sum: number; count: number }>();
	for (const [longitude, latitude, value] of values) {
		const key = `${longitude} ${latitude}`;
		const known = places.get(key);
		if (known) {
			known.sum += value;
			known.count++;
		} else {
			const [east, north] = plane.toMetres([longitude, latitude]);
			places.set(key, { east, north, sum: value, count: 1 });
		}
	}
	const list = [...places.values()];
	return {
		east: Float64Array.from(list, ({ east }) => east),
		north: Float64Array.from(list, ({ north }) => north),
		value: Float64Array.from(list, ({ sum, count }) => sum / count)
	};
}

/** Mean and population variance of some values. */
export function spreadOf(values: readonly number[] | Float64Array): { mean: number; variance: number } {
	let sum = 0;
	for (const value of values) sum += value;
	const mean = sum / values.length;
	let squares = 0;
	for (const value of values) squares += (value - mean) ** 2;
	return { mean, variance: squares / values.length };
}
