import type { Shape } from '../../ground/shapes/shape';
import type { FieldGrid } from './field-grid';
import type { PlacedValue } from './sample-points';
import { LEAST_TO_KRIGE, MOST_TO_KRIGE, surfaceOf, type Surface, type SurfaceMethod } from './surface';
import { coarser } from './thin-points';

/**
 * The surface of a layer, the same for the picture, for zones and for prescriptions: points too many to krige are put together
 * first, and where they are too few for a variogram they speak by distance.
 * @param method as the adviser chose it; kriging where the points allow it, if left out
 * @returns in words why there is none
 */
export function layerSurface(
	values: readonly PlacedValue[],
	boundary: Shape,
	grid: FieldGrid,
	method?: SurfaceMethod
): Surface | string {
	const points = values.length > MOST_TO_KRIGE ? coarser(values, boundary, MOST_TO_KRIGE).points : values;
	return surfaceOf(points, grid, method ?? (points.length >= LEAST_TO_KRIGE ? 'kriging' : 'inverse distance'));
}
