import { keysOf } from '../check/typed-object';
import type { Analyte, ResultUnit } from '../schema-types';
import {
	CM_PER_IN,
	FURROW_BULK_DENSITY,
	KG_HA_PER_LB_AC,
	LB_AC_PER_PPM_FURROW,
	LB_AC_PER_PPM_INCH,
	PPM_PER_MEQ
} from './factors';

/** The unit every rule reads an analyte in. */
export type CanonicalUnit = 'pH' | 'ppm' | 'meq/100 g' | '%' | 'g/cm3' | 'dS/m' | 'meq/L';

const CANONICAL: Record<Analyte, CanonicalUnit> = {
	pH: 'pH',
	bufferPh: 'pH',
	P: 'ppm',
	K: 'ppm',
	Ca: 'ppm',
	Mg: 'ppm',
	Na: 'ppm',
	Al: 'ppm',
	CEC: 'meq/100 g',
	OM: '%',
	OC: '%',
	clay: '%',
	carbonate: '%',
	bulkDensity: 'g/cm3',
	'NO3-N': 'ppm',
	'NH4-N': 'ppm',
	'SO4-S': 'ppm',
	Zn: 'ppm',
	B: 'ppm',
	Mn: 'ppm',
	Cu: 'ppm',
	Fe: 'ppm',
	EC: 'dS/m',
	extractCa: 'meq/L',
	extractSO4: 'meq/L',
	satCa: '%',
	satMg: '%',
	satK: '%',
	satNa: '%',
	satH: '%',
	satAl: '%'
};

/** All that a lab may report of a soil. */
export const ANALYTES: readonly Analyte[] = keysOf<Analyte>(CANONICAL);

export function canonicalUnit(analyte: Analyte): CanonicalUnit {
	return CANONICAL[analyte];
}

/** One step from the lab's unit to the canonical one, in numbers and in words. */
export interface Conversion {
	/** canonical = reported x factor */
	factor: number;
	/** Empty where nothing had to be converted. */
	formula: string;
}

/**
 * How a lab's unit becomes the canonical unit of the analyte.
 * @param thicknessIn thickness of the sampled layer, in; only pounds and kilograms per area need it
 * @param bulkDensity measured, g/cm3; 1.324 where left out, at which the furrow slice weighs 2,000,000 lb
 * @returns undefined where the analyte is never reported in that unit
 */
export function conversionOf(
	analyte: Analyte,
	unit: ResultUnit,
	thicknessIn: number,
	bulkDensity?: number
): Conversion | undefined {
	switch (CANONICAL[analyte]) {
		case 'ppm':
			return toPpm(analyte, unit, thicknessIn, bulkDensity);
		case 'pH':
			if (analyte === 'bufferPh' && unit === 'LTI') return { factor: 0.1, formula: 'lime test index / 10' };
			return unit === 'pH' || unit === '' ? asIs : undefined;
		case 'meq/100 g':
			return unit === 'meq/100g' || unit === 'cmol/kg' || unit === '' ? asIs : undefined;
		case '%':
			if (unit === 'g/kg') return { factor: 0.1, formula: 'g/kg / 10' };
			return unit === '%' || unit === '' ? asIs : undefined;
		case 'g/cm3':
			return unit === 'g/cm3' || unit === '' ? asIs : undefined;
		case 'dS/m':
			return unit === 'dS/m' || unit === 'mmho/cm' || unit === '' ? asIs : undefined;
		case 'meq/L':
			return unit === 'meq/L' || unit === '' ? asIs : undefined;
	}
}

const asIs: Conversion = { factor: 1, formula: '' };

/** lb/ac of 1 ppm in an inch: 0.3, or by the measured bulk density. */
export function poundsPerPpmInch(bulkDensity: number | undefined): number {
	return bulkDensity === undefined ? LB_AC_PER_PPM_INCH : (LB_AC_PER_PPM_INCH * bulkDensity) / FURROW_BULK_DENSITY;
}

/** Words of a formula for a bulk density that was measured. */
export function densityText(bulkDensity: number | undefined): string {
	return bulkDensity === undefined ? '' : ` x ${bulkDensity} / ${FURROW_BULK_DENSITY.toFixed(3)} g/cm3, as measured,`;
}

function toPpm(
	analyte: Analyte,
	unit: ResultUnit,
	thicknessIn: number,
	bulkDensity: number | undefined
): Conversion | undefined {
	const perPpmInch = poundsPerPpmInch(bulkDensity);
	switch (unit) {
		case 'ppm':
		case 'mg/kg':
			return asIs;
		case '%':
			return undefined;
		case 'lb/ac':
			return {
				factor: 1 / (perPpmInch * thicknessIn),
				formula: `lb/ac / (0.3${densityText(bulkDensity)} x ${thicknessIn} in)`
			};
		case 'lb/ac-furrow':
			return {
				factor: 1 / LB_AC_PER_PPM_FURROW,
				formula: `lb/ac / 2${bulkDensity === undefined ? '' : ' (the lab’s own factor, whatever the bulk density)'}`
			};
		case 'kg/ha':
			return {
				factor: 1 / (perPpmInch * thicknessIn * KG_HA_PER_LB_AC),
				formula: `kg/ha / (${(bulkDensity ?? FURROW_BULK_DENSITY).toFixed(3)} g/cm3${bulkDensity === undefined ? '' : ' measured'} x ${(thicknessIn * CM_PER_IN).toFixed(1)} cm x 0.1)`
			};
		case 'meq/100g':
		case 'cmol/kg': {
			const perMeq = PPM_PER_MEQ[analyte as keyof typeof PPM_PER_MEQ] as number | undefined;
			return perMeq === undefined ? undefined : { factor: perMeq, formula: `meq/100 g x ${perMeq}` };
		}
		default:
			return undefined;
	}
}

const PPM_UNITS: readonly ResultUnit[] = ['ppm', 'mg/kg', 'lb/ac', 'lb/ac-furrow', 'kg/ha'];
const CATIONS: ReadonlySet<Analyte> = new Set<Analyte>(keysOf<Analyte>(PPM_PER_MEQ));

/** The units a lab may report an analyte in, the canonical one first. */
export function unitsOf(analyte: Analyte): readonly ResultUnit[] {
	switch (CANONICAL[analyte]) {
		case 'ppm':
			return CATIONS.has(analyte) ? [...PPM_UNITS, 'meq/100g', 'cmol/kg'] : PPM_UNITS;
		case 'pH':
			return analyte === 'bufferPh' ? ['pH', 'LTI'] : ['pH'];
		case 'meq/100 g':
			return ['meq/100g', 'cmol/kg'];
		case '%':
			return ['%', 'g/kg'];
		case 'g/cm3':
			return ['g/cm3'];
		case 'dS/m':
			return ['dS/m', 'mmho/cm'];
		case 'meq/L':
			return ['meq/L'];
	}
}
