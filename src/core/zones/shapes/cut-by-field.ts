import { intersect } from '@turf/intersect';
import { areaM2 } from '../../ground/shapes/geodesic-area';
import type { Shape } from '../../ground/shapes/shape';

/** Less than this share cut off is rounding: the shape stays as it was given. */
const ROUNDING = 1e-4;

/** What of a shape lies in the field; undefined where nothing does. */
export function cutByField(shape: Shape, field: Shape): Shape | undefined {
	const feature = (geometry: Shape) => ({ type: 'Feature' as const, properties: {}, geometry });
	const cut = intersect({ type: 'FeatureCollection', features: [feature(shape), feature(field)] })?.geometry;
	if (!cut) return undefined;
	return Math.abs(areaM2(cut) / areaM2(shape) - 1) < ROUNDING ? shape : cut;
}
