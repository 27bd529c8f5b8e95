import type { Shape } from '$core/ground/shapes/shape';

/**
 * A drawn shape as a zone: cut by the boundary, and without the ground of the zones that are there.
 * @returns undefined where nothing of it is left
 */
export async function cutZone(drawn: Shape, boundary: Shape, taken: readonly Shape[]): Promise<Shape | undefined> {
	const [{ intersect }, { difference }] = await Promise.all([import('@turf/intersect'), import('@turf/difference')]);
	const feature = (geometry: Shape) => ({ type: 'Feature' as const, properties: {}, geometry });
	const both = (a: Shape, b: Shape) => ({ type: 'FeatureCollection' as const, features: [feature(a), feature(b)] });
	let left = intersect(both(drawn, boundary))?.geometry;
	for (const other of taken) {
		if (!left) return undefined;
		left = difference(both(left, other))?.geometry;
	}
	return left;
}
