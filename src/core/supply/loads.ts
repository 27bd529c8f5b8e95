import { figure, notApplicable, type Answer } from '../figure/figure';

/** How often a tank or box is filled for a field. */
export interface Loads {
	/** Full ones and the last one together. */
	count: number;
	acresPerLoad: number;
	/** What the last one holds, in the unit of the capacity. */
	last: number;
}

/** Less than this share of a load is a rounding error, not a load. */
const LEAST_SHARE = 1e-6;

/**
 * Loads for a field.
 * @param perAcre @param capacity in one unit: lb or gal
 */
export function loadsFor(perAcre: number, acres: number, capacity: number): Loads {
	const total = perAcre * acres;
	const full = Math.floor(total / capacity + LEAST_SHARE);
	const rest = total - full * capacity;
	const partial = rest > LEAST_SHARE * capacity;
	return { count: full + (partial ? 1 : 0), acresPerLoad: capacity / perAcre, last: partial ? rest : capacity };
}

/** Acres that one load covers, with its steps; does not apply without a rate. */
export function acresPerLoad(perAcre: number, capacity: number, unit: 'lb' | 'gal'): Answer {
	if (perAcre <= 0) return notApplicable('a load covers', 'nothing is put on', '');
	return figure({
		label: 'a load covers',
		value: capacity / perAcre,
		unit: 'ac',
		formula: 'capacity / rate',
		inputs: [
			figure({ label: 'capacity', value: capacity, unit, basis: 'adviser' }),
			figure({ label: 'rate', value: perAcre, unit: `${unit}/ac`, basis: 'adviser' })
		],
		basis: 'practice'
	});
}
