import { InputError, type Problem } from '../../check/problem';
import type { Layer, Result, Sample } from '../../schema-types';
import { CM_PER_IN } from '../../units/factors';
import { layerText } from '../../units/length-text';
import type { UnitSystem } from '../../units/rate-units';
import { canonicalUnit, conversionOf } from '../../units/result-units';
import { SampledSoil } from './sampled-soil';
import { isMethodOf } from '../../ground/lab-file/lab-methods';

/** A sampled layer with its depths in inches, results as the lab wrote them. */
export interface SoilLayer {
	topIn: number;
	bottomIn: number;
	thicknessIn: number;
	/** "0-8 in" or "0-5 cm", as the lab wrote it; in cm for readers of metric units. */
	depthText: string;
	results: readonly Result[];
}

/**
 * The layers of a sample from the top down.
 * @param path where the sample stands in its request, for the problems
 * @param units in which sentences about the soil speak of depths
 * @throws InputError for upside-down layers, units or methods no lab uses for the analyte, and doubled results
 */
export function soilLayers(sample: Sample, path = '/sample', units: UnitSystem = 'us'): SampledSoil {
	const problems = sample.layers.flatMap((layer, index) => layerProblems(layer, `${path}/layers/${index}`));
	if (problems.length > 0) throw new InputError(problems);
	const layers = sample.layers.map((layer) => toSoilLayer(layer, units));
	return new SampledSoil(
		layers.sort((a, b) => a.topIn - b.topIn),
		{ units }
	);
}

function toSoilLayer(layer: Layer, units: UnitSystem): SoilLayer {
	const { top, bottom, depthUnit, results } = layer;
	const perInch = depthUnit === 'cm' ? CM_PER_IN : 1;
	return {
		topIn: top / perInch,
		bottomIn: bottom / perInch,
		thicknessIn: (bottom - top) / perInch,
		depthText: layerText(layer, units),
		results
	};
}

function layerProblems(layer: Layer, path: string): Problem[] {
	if (layer.bottom <= layer.top) {
		return [{ path: `${path}/bottom`, message: `must be below the top (${layer.top}); got ${layer.bottom}` }];
	}
	const seen = new Set<string>();
	return layer.results.flatMap((result, index) => {
		const at = `${path}/results/${index}`;
		const name = `${result.analyte} ${result.method ?? ''}`.trim();
		if (seen.has(name)) return [{ path: at, message: `${name} stands twice in this layer; keep one value` }];
		seen.add(name);
		return resultProblems(result, at);
	});
}

function resultProblems({ analyte, unit, method }: Result, path: string): Problem[] {
	const problems: Problem[] = [];
	if (!conversionOf(analyte, unit, 1)) {
		problems.push({
			path: `${path}/unit`,
			message: `"${unit}" is no unit for ${analyte}; ${canonicalUnit(analyte)} would be`
		});
	}
	if (method && !isMethodOf(analyte, method)) {
		problems.push({ path: `${path}/method`, message: `"${method}" is no method for ${analyte}` });
	}
	return problems;
}
