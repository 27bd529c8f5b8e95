import { middleOf, type FieldGrid } from './field-grid';
import { inverseDistance, inverseDistanceErrors } from './inverse-distance';
import { ordinaryKriging } from './kriging';
import { planePoints, spreadOf, type PlacedValue } from './sample-points';
import { fitVariogram, measuredVariogram, type Variogram, type VariogramBin } from './variogram';

export type SurfaceMethod = 'inverse distance' | 'kriging';

/** Values for every cell of a field from values at points, with how far it can be trusted. */
export interface Surface {
	method: SurfaceMethod;
	/** One for each cell; NaN outside the field. */
	values: Float64Array;
	points: number;
	/** Root mean square of what each point misses when the others speak for it, in the unit of the values. */
	leaveOneOutError: number;
	/** Spread of the values themselves: what the plain mean would miss. */
	standardDeviation: number;
	variogram?: { fitted: Variogram; measured: VariogramBin[] };
	/** What is to be said of it, in whole sentences. */
	cautions: string[];
}

/** Fewer points than this make no surface at all: judgement. */
export const LEAST_POINTS = 5;
/** Fewer than this make no variogram: common practice. */
export const LEAST_TO_KRIGE = 30;
/** So many are wanted for a variogram to be believed: Webster and Oliver 1992, Journal of Soil Science 43 (memory). */
const TRUSTED_POINTS = 100;
/** The matrix of more points takes too long and too much memory; they are thinned first. */
export const MOST_TO_KRIGE = 1_000;

/**
 * A surface over the cells of a field.
 * @returns in words why there is none, where there are too few points
 */
export function surfaceOf(values: readonly PlacedValue[], grid: FieldGrid, method: SurfaceMethod): Surface | string {
	const points = planePoints(values, grid.plane);
	const count = points.value.length;
	if (count < LEAST_POINTS) {
		return `${count} points are too few for a surface: at least ${LEAST_POINTS}. Go by the mean, or by zones.`;
	}
	if (method === 'kriging' && count < LEAST_TO_KRIGE) {
		return `${count} points are too few for a variogram: at least ${LEAST_TO_KRIGE}. Use inverse distance, or sample more densely.`;
	}
	if (method === 'kriging' && count > MOST_TO_KRIGE) {
		return `${count} points are more than kriging takes here: at most ${MOST_TO_KRIGE}. Use inverse distance, or thin them.`;
	}
	const { variance } = spreadOf(points.value);
	const deviation = Math.sqrt(variance);
	if (method === 'inverse distance' || variance === 0) {
		const at = (x: number, y: number) => inverseDistance(points, x, y);
		return finished('inverse distance', at, inverseDistanceErrors(points), grid, deviation, undefined);
	}
	const measured = measuredVariogram(points);
	const fitted = fitVariogram(measured);
	const { at, errors } = ordinaryKriging(points, fitted);
	return finished('kriging', at, errors, grid, deviation, { fitted, measured });
}

function finished(
	method: SurfaceMethod,
	at: (x: number, y: number) => number,
	errors: Float64Array,
	grid: FieldGrid,
	standardDeviation: number,
	variogram: Surface['variogram']
): Surface {
	const values = new Float64Array(grid.inside.length).fill(NaN);
	for (let cell = 0; cell < values.length; cell++) {
		if (grid.inside[cell]) values[cell] = at(...middleOf(grid, cell));
	}
	const leaveOneOutError = Math.sqrt(errors.reduce((sum, error) => sum + error * error, 0) / errors.length);
	return {
		method,
		values,
		points: errors.length,
		leaveOneOutError,
		standardDeviation,
		...(variogram ? { variogram } : {}),
		cautions: cautionsOf(method, errors.length, leaveOneOutError, standardDeviation, variogram?.fitted)
	};
}

function cautionsOf(
	method: SurfaceMethod,
	count: number,
	error: number,
	deviation: number,
	variogram: Variogram | undefined
): string[] {
	return [
		...(error >= deviation && deviation > 0
			? [
					'The points say no more about their neighbours than their mean does: a surface of them is decoration. Go by the mean.'
				]
			: []),
		...(method === 'kriging' && count < TRUSTED_POINTS
			? [`A variogram of ${count} points is a rough guess; about ${TRUSTED_POINTS} are wanted.`]
			: []),
		...(variogram && variogram.partialSill <= 0
			? ['The variogram is flat: neighbours are no more alike than strangers. Kriging gives the mean.']
			: [])
	];
}
