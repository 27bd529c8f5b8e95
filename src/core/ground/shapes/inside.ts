import type { Position } from 'geojson';
import { boundsOf, partsOf, type Bounds, type Shape } from './shape';

/** A test whether points lie in a shape; holes are outside. Made once for many points. */
export function insideTest(shape: Shape): (position: Position) => boolean {
	const bounds = boundsOf([shape]);
	const rings = partsOf(shape).flat();
	return (position) => bounds !== undefined && within(position, bounds) && crossings(position, rings) % 2 === 1;
}

function within([x = NaN, y = NaN]: Position, [west, south, east, north]: Bounds): boolean {
	return x >= west && x <= east && y >= south && y <= north;
}

/** How often a ray to the east meets an edge: odd inside, since a hole is met twice. */
function crossings([x = NaN, y = NaN]: Position, rings: readonly (readonly Position[])[]): number {
	let met = 0;
	for (const ring of rings) {
		for (let at = 0, before = ring.length - 1; at < ring.length; before = at++) {
			const [ax = NaN, ay = NaN] = ring[at]!;
			const [bx = NaN, by = NaN] = ring[before]!;
			if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) met++;
		}
	}
	return met;
}
