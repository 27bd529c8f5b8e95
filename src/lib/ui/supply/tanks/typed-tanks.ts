import type { FertigationRequest, TankName, WaterReport } from '$core/schema-types';
import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
import { numberOrUndefined } from '../../forms/numbers';

/** A dose as it is typed. */
export interface TypedDose {
	product: string;
	/** Per acre or hectare, in the reader's unit. */
	rate: string;
	/** Empty: the usual one. */
	tank: TankName | '';
}

/** What the doses go through, as it is typed. */
export interface TypedSystem {
	kind: 'drip' | 'pivot';
	zones: string;
	/** Of a zone's set, or of a turn. */
	hours: string;
	tank: string;
	/** Of the water, F or C. */
	warmth: string;
	acidTo: string;
}

/** Degrees as the reader's thermometer has them. */
export function degreesOf(units: UnitSystem): 'F' | 'C' {
	return units === 'us' ? 'F' : 'C';
}

const MOST_ZONES = 200;

/** The request behind what was typed, or what is wrong with it. */
export function readTanks(
	doses: readonly TypedDose[],
	system: TypedSystem,
	about: { areaAcres: number; water: WaterReport | undefined; units: UnitSystem }
): FertigationRequest | string {
	const { units, areaAcres, water } = about;
	const read: FertigationRequest['doses'] = [];
	for (const { product, rate, tank } of doses) {
		const value = numberOrUndefined(rate);
		if (value === undefined || value <= 0) return `The dose “${rate}” must be a number above 0.`;
		read.push({ product, lbPerAcre: valueFromSystem(value, 'lb/ac', units), ...(tank === '' ? {} : { tank }) });
	}
	if (read.length === 0) return 'No dose goes with the water yet: add one.';
	const hours = numberOrUndefined(system.hours);
	if (hours === undefined || hours <= 0) return `The hours “${system.hours}” must be a number above 0.`;
	const zones = numberOrUndefined(system.zones);
	if (system.kind === 'drip' && (zones === undefined || !Number.isInteger(zones) || zones < 1 || zones > MOST_ZONES)) {
		return `Zones “${system.zones}” must be a whole number, 1 to ${MOST_ZONES}.`;
	}
	const tank = optional(system.tank, 'What a tank holds');
	const warmth = optional(system.warmth, 'The temperature of the water');
	const acidTo = optional(system.acidTo, 'The pH in the line');
	for (const value of [tank, warmth, acidTo]) if (typeof value === 'string') return value;
	return {
		areaAcres,
		doses: read,
		through:
			system.kind === 'drip'
				? { kind: 'drip', zones: zones!, hoursPerZone: hours }
				: { kind: 'pivot', hoursPerTurn: hours },
		...(tank === undefined ? {} : { tankGal: valueFromSystem(tank as number, 'gal', units) }),
		...(warmth === undefined ? {} : { waterC: inCelsius(warmth as number, units) }),
		...(acidTo === undefined ? {} : { acidTo: acidTo as number }),
		...(water ? { water } : {})
	};
}

function optional(text: string, name: string): number | string | undefined {
	if (text.trim() === '') return undefined;
	const value = numberOrUndefined(text);
	return value === undefined || value <= 0 ? `${name} “${text}” must be a number above 0.` : value;
}

function inCelsius(degrees: number, units: UnitSystem): number {
	return units === 'us' ? ((degrees - 32) * 5) / 9 : degrees;
}
