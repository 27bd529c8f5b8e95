import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Prescription } from '../../schema-types';

const TOTAL_UNIT: Record<Prescription['unit'], string> = {
	'lb/ac': 'lb',
	'short ton/ac': 'short tons',
	'gal/ac': 'gal'
};

/** Product of a prescription: rate x acres over its parts. */
export function prescriptionTotal({ product, unit, parts }: Prescription): Figure {
	const inputs = parts.map(({ zone, rate, areaAcres }) =>
		amountOn(zone, figure({ label: 'rate', value: rate, unit, basis: 'adviser' }), areaAcres, unit)
	);
	return figure({
		label: `${product.name} by this prescription`,
		value: inputs.reduce((sum, { value }) => sum + value, 0),
		unit: TOTAL_UNIT[unit],
		formula: 'sum of the parts',
		inputs,
		basis: 'adviser'
	});
}

/** Product at the even rate on the same ground; does not apply where there was none. */
export function flatTotal({ product, unit, parts, flat }: Prescription): Answer {
	const label = `${product.name} at one rate`;
	if (flat === undefined) return notApplicable(label, 'no even rate stands beside it', '');
	const acres = parts.reduce((sum, { areaAcres }) => sum + areaAcres, 0);
	return amountOn(label, figure({ label: 'even rate', value: flat, unit, basis: 'adviser' }), acres, unit);
}

function amountOn(label: string, rate: Figure, acres: number, unit: Prescription['unit']): Figure {
	return figure({
		label,
		value: rate.value * acres,
		unit: TOTAL_UNIT[unit],
		formula: 'rate x acres',
		inputs: [rate, figure({ label: 'acres', value: acres, unit: 'ac', basis: 'measured' })],
		basis: 'adviser'
	});
}
