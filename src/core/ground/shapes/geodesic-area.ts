import type { Position } from 'geojson';
import geographiclib from 'geographiclib-geodesic';
import { M2_PER_ACRE } from '../../units/factors';
import { partsOf, type Shape } from './shape';

// The package is CommonJS: it has one export, which holds the rest.
const { Geodesic, PolygonArea } = geographiclib;

/**
 * Area of a shape on the WGS 84 ellipsoid, acres; holes are taken off.
 * Source: Karney 2013, Algorithms for geodesics, Journal of Geodesy 87 (the package is its author's own).
 */
export function areaAcres(shape: Shape): number {
	return areaM2(shape) / M2_PER_ACRE;
}

/** The same in square metres. */
export function areaM2(shape: Shape): number {
	return partsOf(shape).reduce((sum, [outer, ...holes]) => {
		const inside = holes.reduce((taken, hole) => taken + ringAreaM2(hole), 0);
		return sum + ringAreaM2(outer ?? []) - inside;
	}, 0);
}

function ringAreaM2(ring: readonly Position[]): number {
	const polygon = new PolygonArea.PolygonArea(Geodesic.WGS84, false);
	// The last corner is the first again.
	for (const [x = NaN, y = NaN] of ring.slice(0, -1)) polygon.AddPoint(y, x);
	return Math.abs(polygon.Compute(false, true).area ?? NaN);
}
