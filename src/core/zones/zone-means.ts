import { insideTest } from '../ground/shapes/inside';
import type { Shape } from '../ground/shapes/shape';
import type { GroundLayer, LayerQuantity, ZoneFacts } from '../schema-types';

/** Means of the layers in a zone, by quantity; of two layers of one quantity the later one counts. */
export type ZoneMeans = Partial<Record<LayerQuantity, { mean: number; points: number; layer: string }>>;

/** What the layers say of a piece of ground; a quantity without a point in it is left out. */
export function zoneMeans(shape: Shape, layers: readonly GroundLayer[]): ZoneMeans {
	const inZone = insideTest(shape);
	const means: ZoneMeans = {};
	for (const { name, quantity, points } of layers) {
		let sum = 0;
		let count = 0;
		for (const [x, y, value] of points) {
			if (!inZone([x, y])) continue;
			sum += value;
			count++;
		}
		if (count > 0) means[quantity] = { mean: sum / count, points: count, layer: name };
	}
	return means;
}

/** Analytes that a layer or a zone may give in place of the field's sample. */
export const ZONE_ANALYTES = ['pH', 'bufferPh', 'P', 'K', 'Mg', 'Ca', 'OM', 'CEC'] as const;
export type ZoneAnalyte = (typeof ZONE_ANALYTES)[number];

/** What holds in a zone: typed in where it was, else the mean of a layer. */
export function zoneValues(facts: ZoneFacts, means: ZoneMeans): Partial<Record<ZoneAnalyte, number>> {
	const values: Partial<Record<ZoneAnalyte, number>> = {};
	for (const analyte of ZONE_ANALYTES) {
		const value = facts.values?.[analyte] ?? means[analyte]?.mean;
		if (value !== undefined) values[analyte] = value;
	}
	return values;
}
