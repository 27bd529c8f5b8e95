import { figure, notApplicable, type Answer } from '../figure/figure';
import { measured } from '../figure/measured';
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
	const weight = EQUIVALENT_WEIGHT[ion];
	return inUnit(ion, told(water, ion), water.unit, { unit: 'meq/L', factor: 1 / weight, formula: `ppm / ${weight}` });
}

/**
 * An ion or trace in ppm (mg/L).
 * @returns does not apply where the report does not give it
 */
export function ppmOf(water: WaterReport, ion: Ion | Trace): Answer {
	if (ion === 'b' || ion === 'fe' || ion === 'mn') return inUnit(ion, water[ion], 'ppm');
	const weight = EQUIVALENT_WEIGHT[ion];
	return inUnit(ion, told(water, ion), water.unit, { unit: 'ppm', factor: weight, formula: `meq/L x ${weight}` });
}

/** What the lab told, as it is or converted with the conversion as a step of its own. */
function inUnit(
	ion: Ion | Trace,
	value: number | undefined,
	from: WaterReport['unit'],
	to?: { unit: WaterReport['unit']; factor: number; formula: string }
): Answer {
	const label = `${NAMES[ion]} in the water`;
	if (value === undefined) return missing(label, ion);
	if (!to || to.unit === from) return measured(label, value, from);
	return figure({
		label,
		value: value * to.factor,
		unit: to.unit,
		formula: to.formula,
		inputs: [figure({ label: `${label}, by the lab`, value, unit: from, basis: 'measured' })],
		basis: 'measured'
	});
}

function missing(label: string, ion: Ion | Trace): Answer {
	const name = NAMES[ion];
	return notApplicable(label, `the report gives no ${name}`, `Ask the lab for ${name}.`, name);
}
