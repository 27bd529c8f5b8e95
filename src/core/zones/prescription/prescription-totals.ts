import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Prescription, Product } from '../../schema-types';
import { LB_PER_SHORT_TON } from '../../units/factors';

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

/**
 * Dollars that the prescription costs more than the even rate, below zero where it saves: the difference in product
 * x price. Does not apply without an even rate, a price, or the density of a product written in gallons.
 * @param perShortTon $ per short ton of the product, where it is known
 */
export function costOverFlat(
	prescription: Prescription,
	product: Product | undefined,
	perShortTon: number | undefined
): Answer {
	const { unit } = prescription;
	const label = `${prescription.product.name}: cost beside one rate`;
	const flat = flatTotal(prescription);
	if (!flat.applies) return notApplicable(label, flat.reason, flat.remedy);
	if (perShortTon === undefined) {
		const reason = `no price for ${prescription.product.name} is known`;
		return notApplicable(label, reason, 'Enter its price under Prices.');
	}
	const perUnit = { 'short ton/ac': LB_PER_SHORT_TON, 'lb/ac': 1, 'gal/ac': product?.densityLbPerGal }[unit];
	if (perUnit === undefined) {
		return notApplicable(label, `the density of ${prescription.product.name} is not known`, 'Give it under Products.');
	}
	const total = prescriptionTotal(prescription);
	const weight = figure({ label: `weight of one of ${total.unit}`, value: perUnit, unit: 'lb', basis: 'adviser' });
	return figure({
		label,
		value: (((total.value - flat.value) * perUnit) / LB_PER_SHORT_TON) * perShortTon,
		unit: '$',
		formula: `(by this prescription - at one rate) x weight / ${LB_PER_SHORT_TON} x price`,
		inputs: [
			total,
			flat,
			weight,
			figure({ label: 'price', value: perShortTon, unit: '$ per short ton', basis: 'adviser' })
		],
		basis: 'adviser'
	});
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
