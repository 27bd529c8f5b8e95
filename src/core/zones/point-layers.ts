import { topResult } from '../ground/sampling/top-result';
import type { Layer } from '../schema-types';
import type { PlacedValue } from './surface/sample-points';
import { ZONE_ANALYTES, type ZoneAnalyte } from './zone-means';

/** Soil at a point. */
export interface SampledPoint {
	at: readonly [longitude: number, latitude: number];
	layers: readonly Layer[];
}

/** What points make of the map: one analyte at each, by one method in one unit. */
export interface PointLayer {
	analyte: ZoneAnalyte;
	unit: string;
	placed: PlacedValue[];
}

/** The layers that sampled points make, each of the analytes that zones go by; a point measured by another method than the first is left out. */
export function pointLayers(points: readonly SampledPoint[]): PointLayer[] {
	return ZONE_ANALYTES.flatMap((analyte) => {
		const found = points.flatMap(({ at, layers }) => {
			const result = topResult(layers, analyte);
			return result ? [{ at, result }] : [];
		});
		const [first] = found;
		if (!first) return [];
		const { method, unit } = first.result;
		const same = found.filter(({ result }) => result.method === method && result.unit === unit);
		return [{ analyte, unit, placed: same.map(({ at, result }): PlacedValue => [at[0], at[1], result.value]) }];
	});
}
