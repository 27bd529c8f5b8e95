import { inverse, Matrix } from 'ml-matrix';
import type { PlanePoints } from './sample-points';
import { semivariance, type Variogram } from './variogram';

/** Points and variogram made ready for many places. */
export interface Kriged {
	at: (x: number, y: number) => number;
	/** What each point misses when the others speak for it. */
	errors: Float64Array;
}

/**
 * Ordinary kriging over all points. In its dual form a place costs one sum over the points: z(x) = sum(b g(d)) + m, with
 * (b, m) the solution of the bordered matrix of semivariances. Leave-one-out errors come from its inverse: b / its
 * diagonal. Sources: Matheron's ordinary kriging; Dubrule 1983, Mathematical Geology 15 (both from memory).
 */
export function ordinaryKriging({ east, north, value }: PlanePoints, variogram: Variogram): Kriged {
	const n = value.length;
	const matrix = Matrix.zeros(n + 1, n + 1);
	for (let a = 0; a < n; a++) {
		for (let b = a + 1; b < n; b++) {
			const g = semivariance(variogram, Math.hypot(east[a]! - east[b]!, north[a]! - north[b]!));
			matrix.set(a, b, g);
			matrix.set(b, a, g);
		}
		matrix.set(a, n, 1);
		matrix.set(n, a, 1);
	}
	const turned = inverse(matrix);
	const dual = new Float64Array(n + 1);
	for (let a = 0; a <= n; a++) for (let b = 0; b < n; b++) dual[a]! += turned.get(a, b) * value[b]!;
	return {
		at: (x, y) => dualSum(x, y, east, north, dual, variogram),
		errors: value.map((_, at) => dual[at]! / turned.get(at, at))
	};
}

function dualSum(
	x: number,
	y: number,
	east: Float64Array,
	north: Float64Array,
	dual: Float64Array,
	{ model, nugget, partialSill, rangeM }: Variogram
): number {
	const n = east.length;
	let sum = dual[n]!;
	const exponential = model === 'exponential';
	const perMetre = 1 / rangeM;
	for (let at = 0; at < n; at++) {
		const dx = east[at]! - x;
		const dy = north[at]! - y;
		const distance2 = dx * dx + dy * dy;
		// At a point itself nothing differs: the nugget belongs to all other distances.
		if (distance2 === 0) continue;
		const u = Math.sqrt(distance2) * perMetre;
		const shape = exponential ? 1 - Math.exp(-u) : u >= 1 ? 1 : u * (1.5 - 0.5 * u * u);
		sum += dual[at]! * (nugget + partialSill * shape);
	}
	return sum;
}
