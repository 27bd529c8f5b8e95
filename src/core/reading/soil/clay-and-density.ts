import { figure, notApplicable, type Answer } from '../../figure/figure';
import { FURROW_BULK_DENSITY } from '../../units/factors';
import { readResult } from './read-result';
import type { Site } from '../site';

type TextureClass = NonNullable<Site['field']['textureClass']>;

/** Clay near the middle of each class of the texture triangle, %: common practice. */
const MIDDLE_CLAY_PERCENT: Record<TextureClass, number> = {
	sand: 5,
	'loamy sand': 8,
	'sandy loam': 12,
	loam: 18,
	'silt loam': 18,
	silt: 6,
	'sandy clay loam': 27,
	'clay loam': 33,
	'silty clay loam': 33,
	'sandy clay': 42,
	'silty clay': 47,
	clay: 55
};

/** Clay, %: measured, or the middle of the field's texture class (common practice), which is marked. */
export function readClay({ soil, field }: Site): Answer {
	const measured = readResult(soil, 'clay');
	if (measured.applies) return measured;
	if (!field.textureClass) {
		return notApplicable('clay', measured.reason, 'Ask the lab for clay, or name the field’s texture.');
	}
	return figure({
		label: 'clay',
		value: MIDDLE_CLAY_PERCENT[field.textureClass],
		unit: '%',
		basis: 'practice',
		cautions: [`Clay was not measured; the middle of ${field.textureClass} is used.`]
	});
}

/** Bulk density, g/cm3: measured, or 1.324, at which the furrow slice weighs 2,000,000 lb (common practice). */
export function readBulkDensity({ soil }: Site): Answer {
	const measured = readResult(soil, 'bulkDensity');
	if (measured.applies) return measured;
	return figure({
		label: 'bulk density, taken as usual',
		value: FURROW_BULK_DENSITY,
		unit: 'g/cm3',
		basis: 'practice'
	});
}
