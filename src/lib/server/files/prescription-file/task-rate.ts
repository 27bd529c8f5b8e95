import { HA_PER_ACRE, KG_HA_PER_LB_AC, L_PER_GAL, T_HA_PER_SHORT_TON_AC } from '../../../../core/units/factors';
import type { Prescription } from '../../../../core/schema-types';

/** Setpoint application rates of the data dictionary (from memory): 1 is volume per area in 0.01 mm3/m2, 6 mass per area in mg/m2. */
const VOLUME_DDI = '0001';
const MASS_DDI = '0006';
/** 1 kg/ha is 100 mg/m2. */
const MG_M2_PER_KG_HA = 100;
/** 1 L/ha is 100 mm3/m2, so 10,000 of the unit. */
const UNITS_PER_L_HA = 10_000;
const PLACES = 10;

/** In units of a whole number of the standard, what one of our unit is. */
function perUnit(unit: Prescription['unit']): { ddi: string; factor: number } {
	if (unit === 'gal/ac') return { ddi: VOLUME_DDI, factor: (L_PER_GAL / HA_PER_ACRE) * UNITS_PER_L_HA };
	const kgHa = unit === 'lb/ac' ? KG_HA_PER_LB_AC : T_HA_PER_SHORT_TON_AC * 1000;
	return { ddi: MASS_DDI, factor: kgHa * MG_M2_PER_KG_HA };
}

/** A rate as the task file writes it: a whole number of its unit. Gallons go by volume, pounds and tons by mass. */
export function taskRate(rate: number, unit: Prescription['unit']): { ddi: string; value: number } {
	const { ddi, factor } = perUnit(unit);
	return { ddi, value: Math.round(rate * factor) };
}

/** The rate behind it, to a tenth of a pound or gallon, or a thousandth of a ton. */
export function rateOfTask(value: number, unit: Prescription['unit']): number {
	const { factor } = perUnit(unit);
	const places = unit === 'short ton/ac' ? 1000 : PLACES;
	return Math.round((value / factor) * places) / places;
}
