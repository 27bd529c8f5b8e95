import { analyteName } from '../ground/analyte-names';
import { measuredDensity } from '../reading/soil/read-result';
import { soilLayers } from '../reading/soil/soil-layers';
import type { Analyte, GroundLayer, ResultUnit, Sample } from '../schema-types';
import { conversionOf } from '../units/result-units';
import { ZONE_ANALYTES } from './zone-means';

/** Layers of a field as its own report is read, and what of them could not be. */
export interface LayersInUse {
	/** The newest last, because the later of two counts; soil values in the unit of the field's own result. */
	layers: GroundLayer[];
	/** In whole sentences. */
	notes: string[];
}

/**
 * Layers in the order of their days, those without a day first, with soil values in the unit that the field's sample has for them,
 * since they stand in its place. A layer without a unit is taken to be in the report's; one in a unit that is none for its
 * analyte is left out, with a note.
 */
export function layersInUse(layers: readonly GroundLayer[], sample: Sample): LayersInUse {
	const notes: string[] = [];
	const byDay = [...layers].sort((a, b) => (a.takenOn ?? '').localeCompare(b.takenOn ?? ''));
	const read = byDay.flatMap((layer) => {
		const analyte = ZONE_ANALYTES.find((one) => one === layer.quantity);
		if (!analyte) return [layer];
		const factor = factorTo(sample, analyte, layer.unit);
		if (factor === undefined || factor === 1) return [layer];
		if (factor === null) {
			notes.push(
				`The layer ${layer.name} is left out: “${layer.unit}” is no unit for ${analyteName(analyte)}. Take it in again with its unit.`
			);
			return [];
		}
		return [
			{ ...layer, points: layer.points.map(([x, y, value]): [number, number, number] => [x, y, value * factor]) }
		];
	});
	return { layers: read, notes };
}

/** From a layer's unit to that of the field's result; null where there is no such unit, undefined where nothing is to do. */
function factorTo(sample: Sample, analyte: Analyte, unit: string): number | null | undefined {
	const written = unit.replaceAll(' ', '');
	if (written === '') return undefined;
	for (const layer of soilLayers(sample, '/sample').layers) {
		const own = layer.results.find((result) => result.analyte === analyte);
		if (!own) continue;
		const density = measuredDensity(layer);
		const from = conversionOf(analyte, written as ResultUnit, layer.thicknessIn, density);
		const to = conversionOf(analyte, own.unit, layer.thicknessIn, density)!;
		return from ? from.factor / to.factor : null;
	}
	return undefined;
}
