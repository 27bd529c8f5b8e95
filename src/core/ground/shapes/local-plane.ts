import type { Position } from 'geojson';

/** A plane that touches the ground at a point: metres east and north of it. Over a field it is true to a few parts in 100,000. */
export interface LocalPlane {
	toMetres(position: Position): [number, number];
	toDegrees(east: number, north: number): [number, number];
}

/** WGS 84: half the long axis in metres, and the first eccentricity squared. */
const LONG_AXIS_M = 6_378_137;
const ECCENTRICITY2 = 0.00669437999014;
const RADIANS = Math.PI / 180;

/** The plane about a point, by the radii of curvature of the ellipsoid there. */
export function planeAt(longitude: number, latitude: number): LocalPlane {
	const sine = Math.sin(latitude * RADIANS);
	const w2 = 1 - ECCENTRICITY2 * sine * sine;
	const perDegreeNorth = ((LONG_AXIS_M * (1 - ECCENTRICITY2)) / w2 ** 1.5) * RADIANS;
	const perDegreeEast = (LONG_AXIS_M / Math.sqrt(w2)) * Math.cos(latitude * RADIANS) * RADIANS;
	return {
		toMetres: ([x = NaN, y = NaN]) => [(x - longitude) * perDegreeEast, (y - latitude) * perDegreeNorth],
		toDegrees: (east, north) => [longitude + east / perDegreeEast, latitude + north / perDegreeNorth]
	};
}
