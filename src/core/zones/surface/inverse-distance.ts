import type { PlanePoints } from './sample-points';

/** Common practice: weight falls with the square of the distance. */
const POWER = 2;

/**
 * Value at a place by inverse squared distance over all points: sum(z / d2) / sum(1 / d2); at a point, its own value.
 * @param skip index of a point to leave out, for the leave-one-out error
 */
export function inverseDistance({ east, north, value }: PlanePoints, x: number, y: number, skip = -1): number {
	let weights = 0;
	let sum = 0;
	for (let at = 0; at < value.length; at++) {
		if (at === skip) continue;
		const dx = east[at]! - x;
		const dy = north[at]! - y;
		const distance2 = dx * dx + dy * dy;
		if (distance2 === 0) return value[at]!;
		const weight = 1 / distance2 ** (POWER / 2);
		weights += weight;
		sum += weight * value[at]!;
	}
	return sum / weights;
}

/** What each point misses when the others speak for it. */
export function inverseDistanceErrors(points: PlanePoints): Float64Array {
	return points.value.map((own, at) => own - inverseDistance(points, points.east[at]!, points.north[at]!, at));
}
