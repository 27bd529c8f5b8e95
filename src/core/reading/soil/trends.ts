import { methodName } from '../../ground/lab-file/lab-methods';
import { analyteName } from '../../ground/analyte-names';
import type { Analyte, LabMethod, Sample } from '../../schema-types';
import { canonicalUnit } from '../../units/result-units';
import type { UnitSystem } from '../../units/rate-units';
import { readResult } from './read-result';
import type { SampledSoil } from './sampled-soil';
import { soilLayers, type SoilLayer } from './soil-layers';

/** One analyte over the sample dates, by one method and in one layer: only like is held against like. */
export interface Trend {
	analyte: Analyte;
	method: LabMethod | undefined;
	/** Top of the layer, in. */
	topIn: number;
	/** "soil pH, water (1:1), 0-8 in" */
	label: string;
	unit: string;
	/** In order of date. */
	points: { date: string; value: number }[];
}

/**
 * How each analyte went over the dates on which the field was sampled.
 * @returns a trend for every analyte, method and depth that was measured on two dates or more
 */
export function readTrends(samples: readonly Sample[], units: UnitSystem): Trend[] {
	const trends = new Map<string, Trend>();
	for (const sample of samples) {
		if (sample.date === undefined) continue;
		const soil = soilLayers(sample, '/sample', units);
		for (const layer of soil.layers) {
			for (const { analyte, method } of layer.results) addPoint(trends, sample.date, soil, layer, analyte, method);
		}
	}
	return [...trends.values()]
		.filter(({ points }) => points.length > 1)
		.map((trend) => ({ ...trend, points: trend.points.sort((a, b) => a.date.localeCompare(b.date)) }));
}

function addPoint(
	trends: Map<string, Trend>,
	date: string,
	soil: SampledSoil,
	layer: SoilLayer,
	analyte: Analyte,
	method: LabMethod | undefined
): void {
	const read = readResult(soil.only(layer), analyte, method && [method]);
	if (!read.applies) return;
	const label = [analyteName(analyte), method && methodName(method), layer.depthText].filter(Boolean).join(', ');
	const trend = trends.get(label) ?? {
		analyte,
		method,
		topIn: layer.topIn,
		label,
		unit: canonicalUnit(analyte),
		points: []
	};
	trend.points.push({ date, value: read.value });
	trends.set(label, trend);
}
