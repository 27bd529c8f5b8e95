import type { Position } from 'geojson';
import { planeAt } from '../../ground/shapes/local-plane';
import { boundsOf, type Shape } from '../../ground/shapes/shape';

const RADIANS = Math.PI / 180;

/** The plane of a field turned into the direction of driving: metres to the right of it, and along. */
export interface DriveFrame {
	toFrame(position: Position): [across: number, along: number];
	toDegrees(across: number, along: number): [longitude: number, latitude: number];
}

/** @param headingDegrees from north by east */
export function driveFrame(field: Shape, headingDegrees: number): DriveFrame {
	const [west, south, east, north] = boundsOf([field])!;
	const plane = planeAt((west + east) / 2, (south + north) / 2);
	const [sine, cosine] = [Math.sin(headingDegrees * RADIANS), Math.cos(headingDegrees * RADIANS)];
	return {
		toFrame(position) {
			const [e, n] = plane.toMetres(position);
			return [e * cosine - n * sine, e * sine + n * cosine];
		},
		toDegrees: (across, along) => plane.toDegrees(across * cosine + along * sine, along * cosine - across * sine)
	};
}

/**
 * The direction in which a field is driven: that of the longest straight of its boundary, whole degrees from north by east below 180.
 */
export function usualHeading(field: Shape): number {
	const frame = driveFrame(field, 0);
	const ring = (field.type === 'Polygon' ? field.coordinates : field.coordinates[0]!)[0]!.map(frame.toFrame);
	const lengths = new Array<number>(180).fill(0);
	for (let at = 1; at < ring.length; at++) {
		const [east, north] = [ring[at]![0] - ring[at - 1]![0], ring[at]![1] - ring[at - 1]![1]];
		const degrees = Math.round(Math.atan2(east, north) / RADIANS);
		lengths[((degrees % 180) + 180) % 180]! += Math.hypot(east, north);
	}
	return lengths.indexOf(Math.max(...lengths));
}
