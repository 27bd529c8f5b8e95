import { figure, notApplicable, type Answer } from '../figure/figure';
import type { WaterReport } from '../schema-types';

/** What water carries, as a lab tells it. */
export type Ion = 'ca' | 'mg' | 'na' | 'k' | 'hco3' | 'co3' | 'cl' | 'so4' | 'no3n';
/** Always told in ppm. */
export type Trace = 'b' | 'fe' | 'mn';

/** g/eq: the weight of a mole by its charge. */
const EQUIVALENT_WEIGHT: Record<Ion, number> = {
	ca: 20.04,
	mg: 12.15,
	na: 22.99,
	k: 39.1,
	hco3: 61.02,
	co3: 30.0,
	cl: 35.45,
	so4: 48.03,
	// Nitrate told as nitrogen: a mole of it weighs what its nitrogen does.
	no3n: 14.007
};
/** g/eq of nitrate as such. */
const NITRATE_WEIGHT = 62.005;

const NAMES: Record<Ion | Trace, string> = {
	ca: 'calcium',
	mg: 'magnesium',
	na: 'sodium',
	k: 'potassium',
	hco3: 'bicarbonate',
	co3: 'carbonate',
	cl: 'chloride',
	so4: 'sulfate',
	no3n: 'nitrate-N',
	b: 'boron',
	fe: 'iron',
	mn: 'manganese'
};

/** What the lab told of an ion, in its unit; undefined where it told nothing. */
function told(water: WaterReport, ion: Ion): number | undefined {
	if (ion !== 'no3n' || water.no3n !== undefined || water.no3 === undefined) return water[ion];
	return water.unit === 'meq/L' ? water.no3 : (water.no3 * EQUIVALENT_WEIGHT.no3n) / NITRATE_WEIGHT;
}

/**
 * An ion in meq/L: ppm / equivalent weight.
 * @returns does not apply where the report does not give it
 */
export function meqOf(water: WaterReport, ion: Ion): Answer {
	const label = `${NAMES[ion]} in the water`;
	const value = told(water, ion);
	if (value === undefined) return missing(label, ion);
	if (water.unit === 'meq/L') return figure({ label, value, unit: 'meq/L', basis: 'measured' });
	return figure({
		label,
		value: value / EQUIVALENT_WEIGHT[ion],
		unit: 'meq/L',
		formula: `ppm / ${EQUIVALENT_WEIGHT[ion]}`,
		inputs: [figure({ label: `${label}, by the lab`, value, unit: 'ppm', basis: 'measured' })],
		basis: 'measured'
	});
}

/**
 * An ion or trace in ppm (mg/L).
 * @returns does not apply where the report does not give it
 */
export function ppmOf(water: WaterReport, ion: Ion | Trace): Answer {
	const label = `${NAMES[ion]} in the water`;
	const trace = ion === 'b' || ion === 'fe' || ion === 'mn';
	const value = trace ? water[ion] : told(water, ion);
	if (value === undefined) return missing(label, ion);
	if (trace || water.unit === 'ppm') return figure({ label, value, unit: 'ppm', basis: 'measured' });
	return figure({
		label,
		value: value * EQUIVALENT_WEIGHT[ion],
		unit: 'ppm',
		formula: `meq/L x ${EQUIVALENT_WEIGHT[ion]}`,
		inputs: [figure({ label: `${label}, by the lab`, value, unit: 'meq/L', basis: 'measured' })],
		basis: 'measured'
	});
}

function missing(label: string, ion: Ion | Trace): Answer {
	const name = NAMES[ion];
	return notApplicable(label, `the report gives no ${name}`, `Ask the lab for ${name}.`, name);
}
