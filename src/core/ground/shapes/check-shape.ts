import type { Position } from 'geojson';
import type { Problem } from '../../check/problem';
import { firstCrossing } from './first-crossing';
import { areaAcres } from './geodesic-area';
import { partsOf, type Shape } from './shape';

/** More corners than this are a scan, not a boundary. */
export const MOST_CORNERS = 20_000;
const LEAST_ACRES = 0.01;
const MOST_ACRES = 100_000;

/** What is wrong with a shape as a piece of farm ground; nothing where it is sound. */
export function shapeProblems(shape: Shape, path: string): Problem[] {
	const rings = partsOf(shape).flat();
	const corners = rings.reduce((sum, ring) => sum + ring.length, 0);
	if (corners > MOST_CORNERS) {
		return [{ path, message: `has ${corners} corners; at most ${MOST_CORNERS} are taken: simplify it first` }];
	}
	const broken = rings.flatMap((ring) => ringProblems(ring, path));
	if (broken.length > 0) return broken.slice(0, 1);
	const acres = areaAcres(shape);
	if (acres >= LEAST_ACRES && acres <= MOST_ACRES) return [];
	const size = acres < 1 ? acres.toFixed(4) : Math.round(acres).toLocaleString('en-US');
	return [{ path, message: `covers ${size} acres; a field has from ${LEAST_ACRES} to 100,000` }];
}

function ringProblems(ring: readonly Position[], path: string): Problem[] {
	if (ring.length < 4)
		return [{ path, message: `has a ring of ${ring.length} points; at least 4 are wanted, the last as the first` }];
	const off = ring.find(([x = NaN, y = NaN]) => !(Math.abs(x) <= 180 && Math.abs(y) <= 90));
	if (off) {
		const message = `has a corner at ${off.slice(0, 2).join(', ')}, which is no longitude and latitude in degrees: export it in WGS 84 (EPSG:4326), or with its .prj`;
		return [{ path, message }];
	}
	const [first, last] = [ring[0]!, ring.at(-1)!];
	if (first[0] !== last[0] || first[1] !== last[1]) return [{ path, message: 'has a ring that is not closed' }];
	const crossing = firstCrossing(ring);
	if (!crossing) return [];
	return [
		{
			path,
			message: `crosses itself near ${crossing.map((part) => part.toFixed(5)).join(', ')}: edit the boundary there`
		}
	];
}
