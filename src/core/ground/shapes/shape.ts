import type { MultiPolygon, Polygon, Position } from 'geojson';

/** A piece of ground: WGS 84, longitude before latitude, with holes and several parts where it has them. */
export type Shape = Polygon | MultiPolygon;

/** Every part of a shape as its rings, the outer one first. */
export function partsOf(shape: Shape): Position[][][] {
	return shape.type === 'Polygon' ? [shape.coordinates] : shape.coordinates;
}

/** West, south, east, north in degrees. */
export type Bounds = [number, number, number, number];

/** The bounds of some shapes; undefined where there are none. */
export function boundsOf(shapes: readonly Shape[]): Bounds | undefined {
	let found: Bounds | undefined;
	for (const shape of shapes) {
		for (const [x = NaN, y = NaN] of partsOf(shape).flat(2)) {
			if (!found) found = [x, y, x, y];
			else {
				if (x < found[0]) found[0] = x;
				if (y < found[1]) found[1] = y;
				if (x > found[2]) found[2] = x;
				if (y > found[3]) found[3] = y;
			}
		}
	}
	return found;
}
