import { figure, type Answer } from '../figure/figure';
import type { Crop } from '../schema-types';
import {
	CM_PER_IN,
	FT2_PER_ACRE,
	FT_PER_M,
	HA_PER_ACRE,
	KG_HA_PER_LB_AC,
	KG_PER_LB,
	KG_PER_T,
	KM_PER_MILE,
	L_PER_GAL,
	M2_PER_ACRE,
	ML_PER_ACRE_FOOT,
	MM_PER_IN,
	T_HA_PER_SHORT_TON_AC,
	T_PER_SHORT_TON
} from './factors';

export type UnitSystem = 'us' | 'metric';

const TO_METRIC: Record<string, { unit: string; factor: number }> = {
	'lb/ac': { unit: 'kg/ha', factor: KG_HA_PER_LB_AC },
	'short ton/ac': { unit: 't/ha', factor: T_HA_PER_SHORT_TON_AC },
	'$/ac': { unit: '$/ha', factor: 1 / HA_PER_ACRE },
	'gal/ac': { unit: 'L/ha', factor: L_PER_GAL / HA_PER_ACRE },
	ac: { unit: 'ha', factor: HA_PER_ACRE },
	// Whole fields and loads.
	lb: { unit: 'kg', factor: KG_PER_LB },
	'$/lb': { unit: '$/kg', factor: 1 / KG_PER_LB },
	gal: { unit: 'L', factor: L_PER_GAL },
	'gal/h': { unit: 'L/h', factor: L_PER_GAL },
	'lb/gal': { unit: 'kg/L', factor: KG_PER_LB / L_PER_GAL },
	'ac/h': { unit: 'ha/h', factor: HA_PER_ACRE },
	'short tons': { unit: 't', factor: T_PER_SHORT_TON },
	'ton/ac': { unit: 't/ha', factor: T_HA_PER_SHORT_TON_AC },
	ton: { unit: 't', factor: T_PER_SHORT_TON },
	// Prices.
	'$ per lb': { unit: '$ per kg', factor: 1 / KG_PER_LB },
	'$ per ton': { unit: '$ per t', factor: 1 / T_PER_SHORT_TON },
	'$ per short ton': { unit: '$ per t', factor: 1 / T_PER_SHORT_TON },
	'$/ton': { unit: '$/t', factor: 1 / T_PER_SHORT_TON },
	'$/short ton': { unit: '$/t', factor: 1 / T_PER_SHORT_TON },
	'$ per effective short ton': { unit: '$ per effective t', factor: 1 / T_PER_SHORT_TON },
	'$ per acre': { unit: '$ per ha', factor: 1 / HA_PER_ACRE },
	'$ per treated acre': { unit: '$ per treated ha', factor: 1 / HA_PER_ACRE },
	// Lengths; rain and irrigation count in mm.
	in: { unit: 'cm', factor: CM_PER_IN },
	ft: { unit: 'm', factor: 1 / FT_PER_M },
	ft2: { unit: 'm2', factor: M2_PER_ACRE / FT2_PER_ACRE },
	'per ft2': { unit: 'per m2', factor: FT2_PER_ACRE / M2_PER_ACRE },
	'in of water': { unit: 'mm of water', factor: MM_PER_IN },
	// Machines.
	'gal/min': { unit: 'L/min', factor: L_PER_GAL },
	mph: { unit: 'km/h', factor: KM_PER_MILE },
	'lb/tree': { unit: 'kg/tree', factor: KG_PER_LB },
	'lb/ton': { unit: 'kg/t', factor: KG_PER_LB / T_PER_SHORT_TON },
	'lb/1000 gal': { unit: 'kg/1000 L', factor: KG_PER_LB / L_PER_GAL },
	'lb per acre-foot': { unit: 'kg per ML', factor: KG_PER_LB / ML_PER_ACRE_FOOT },
	'$ per acre-foot': { unit: '$ per ML', factor: 1 / ML_PER_ACRE_FOOT },
	'gal per acre-foot': { unit: 'L per ML', factor: L_PER_GAL / ML_PER_ACRE_FOOT },
	'lb/plant': { unit: 'kg/plant', factor: KG_PER_LB },
	'lb/100 ft': { unit: 'kg/100 m', factor: KG_PER_LB * FT_PER_M },
	'lb/treated ac': { unit: 'kg/treated ha', factor: KG_HA_PER_LB_AC },
	'plants/ac': { unit: 'plants/ha', factor: 1 / HA_PER_ACRE },
	'ft/ac': { unit: 'm/ha', factor: 1 / FT_PER_M / HA_PER_ACRE }
};

/**
 * The unit of a crop's yields with the weight of its bushel, without which no tonnes can be told: "bu/ac of 56 lb".
 * Readers of US units see "bu/ac".
 */
export function yieldUnitOf({ yieldUnit, bushelWeightLb }: Pick<Crop, 'yieldUnit' | 'bushelWeightLb'>): string {
	return bushelWeightLb === undefined ? yieldUnit : `${yieldUnit} of ${bushelWeightLb} lb`;
}

/** What one unit of such a yield is: "bu of 56 lb" of "bu/ac of 56 lb". */
export function perYieldOf(crop: Pick<Crop, 'yieldUnit' | 'bushelWeightLb'>): string {
	return yieldUnitOf(crop).replace('/ac', '');
}

const WEIGHED_BUSHEL = /^(.*\b)?bu(\/ac)? of ([\d.]+) lb$/;

/** "bu/ac", "$ per bu" and "lb per bu" of bushels that say what they weigh: tonnes. */
function weighedTwin(unit: string): { unit: string; factor: number } | undefined {
	const [, before = '', area = '', weightLb] = WEIGHED_BUSHEL.exec(unit) ?? [];
	if (weightLb === undefined) return undefined;
	const tonnes = (Number(weightLb) * KG_PER_LB) / KG_PER_T;
	if (before === '') return area ? { unit: 't/ha', factor: tonnes / HA_PER_ACRE } : { unit: 't', factor: tonnes };
	return before.startsWith('lb')
		? { unit: `${before.replace('lb', 'kg')}t`, factor: KG_PER_LB / tonnes }
		: { unit: `${before}t`, factor: 1 / tonnes };
}

/** The metric twin of a US unit; what follows a unit of area or price stays: "$/lb N" is "$/kg N". */
function metricOf(unit: string): { unit: string; factor: number } | undefined {
	const twin = TO_METRIC[unit] ?? weighedTwin(unit);
	if (twin) return twin;
	const [base = '', ...of] = unit.split(' ');
	const metric = base.includes('/') ? TO_METRIC[base] : undefined;
	return metric && { ...metric, unit: [metric.unit, ...of].join(' ') };
}

/**
 * A rate in the reader's unit system. The conversion is a step of its own on the worksheet, so the guide's own
 * number stays visible. Rates are kept and computed in US units; units with no metric twin pass unchanged.
 */
export function inSystem(answer: Answer, system: UnitSystem): Answer {
	if (!answer.applies || system === 'us') return answer;
	const metric = metricOf(answer.unit);
	if (!metric) return answer;
	return figure({
		label: answer.label,
		value: answer.value * metric.factor,
		unit: metric.unit,
		formula: `${answer.unit} x ${metric.factor.toFixed(5)}`,
		inputs: [answer],
		basis: answer.basis,
		citation: answer.citation,
		cautions: answer.cautions
	});
}

/** A yield in the reader's units: bushels become tonnes by what they weigh. */
export function yieldInSystem(
	answer: Answer,
	crop: Pick<Crop, 'yieldUnit' | 'bushelWeightLb'>,
	system: UnitSystem
): Answer {
	if (!answer.applies || system === 'us' || answer.unit !== crop.yieldUnit) return answer;
	return inSystem({ ...answer, unit: yieldUnitOf(crop) }, system);
}

/** Answers by name, each in the reader's unit system. */
export function inEachSystem(answers: Readonly<Record<string, Answer>>, system: UnitSystem): Record<string, Answer> {
	return Object.fromEntries(Object.entries(answers).map(([name, answer]) => [name, inSystem(answer, system)]));
}

/** The unit a rate of this US unit is shown in. */
export function unitInSystem(unit: string, system: UnitSystem): string {
	return system === 'metric' ? (metricOf(unit)?.unit ?? unit) : unit.replace(WEIGHED_BUSHEL, '$1bu$2');
}

/** The number a rate of this US unit is shown as. */
export function valueInSystem(value: number, unit: string, system: UnitSystem): number {
	return system === 'metric' ? value * (metricOf(unit)?.factor ?? 1) : value;
}

/** The US number behind what the reader typed in the shown unit. */
export function valueFromSystem(value: number, unit: string, system: UnitSystem): number {
	return system === 'metric' ? value / (metricOf(unit)?.factor ?? 1) : value;
}
