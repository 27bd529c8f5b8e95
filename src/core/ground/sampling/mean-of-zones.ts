import type { Layer, Result } from '../../schema-types';
import { tidy } from '../../units/display';

/** A part of a field with the sample that was pulled in it. */
export interface SampledPart {
	areaAcres: number;
	layers: readonly Layer[];
}

/** Digits of a mean: no lab gives more. */
const DIGITS = 4;

/**
 * The sample of a field as the mean of its parts by their acres: common practice, for rates of the field as a whole. Layers and results
 * that not every part has, by one method in one unit, are left out.
 * @param parts at least one
 */
export function meanOfParts(parts: readonly SampledPart[]): Layer[] {
	const [first, ...others] = parts;
	return (first?.layers ?? []).flatMap((layer) => {
		const same = others.map(({ layers }) => layers.find((other) => depthKey(other) === depthKey(layer)));
		const results = layer.results.flatMap((result) => {
			const all = [result, ...same.map((other) => other?.results.find((one) => resultKey(one) === resultKey(result)))];
			return all.every((one) => one !== undefined) ? [meanResult(result, all, parts)] : [];
		});
		return results.length > 0 ? [{ ...layer, results }] : [];
	});
}

function meanResult(result: Result, all: readonly Result[], parts: readonly SampledPart[]): Result {
	const acres = parts.reduce((sum, { areaAcres }) => sum + areaAcres, 0);
	const value = all.reduce((sum, one, at) => sum + one.value * parts[at]!.areaAcres, 0) / acres;
	const { qualifier, ...plain } = result;
	const mean = { ...plain, value: tidy(value, DIGITS) };
	return qualifier !== undefined && all.every((one) => one.qualifier === qualifier) ? { ...mean, qualifier } : mean;
}

const depthKey = ({ top, bottom, depthUnit }: Layer) => `${top}-${bottom} ${depthUnit}`;
const resultKey = ({ analyte, method, unit }: Result) => `${analyte}|${method ?? ''}|${unit}`;
