import type { Layer, Result } from '../../schema-types';

/** A result in the uppermost layer that holds it; undefined where none does. */
export function topResult(layers: readonly Layer[], analyte: Result['analyte']): Result | undefined {
	return [...layers]
		.sort((a, b) => a.top - b.top)
		.flatMap((layer) => layer.results)
		.find((one) => one.analyte === analyte);
}
