import { figure, type Answer } from '../figure/figure';
import {
	FT_PER_M,
	HA_PER_ACRE,
	KG_HA_PER_LB_AC,
	KG_PER_LB,
	L_PER_GAL,
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
	// Yields; bushels stay bushels, as the guides count them.
	'ton/ac': { unit: 't/ha', factor: T_HA_PER_SHORT_TON_AC },
	'lb/plant': { unit: 'kg/plant', factor: KG_PER_LB },
	'lb/100 ft': { unit: 'kg/100 m', factor: KG_PER_LB * FT_PER_M },
	'lb/treated ac': { unit: 'kg/treated ha', factor: KG_HA_PER_LB_AC },
	'plants/ac': { unit: 'plants/ha', factor: 1 / HA_PER_ACRE },
	'ft/ac': { unit: 'm/ha', factor: 1 / FT_PER_M / HA_PER_ACRE }
};

/** The metric twin of a US unit; what follows a unit of area or price stays: "$/lb N" is "$/kg N". */
function metricOf(unit: string): { unit: string; factor: number } | undefined {
	const twin = TO_METRIC[unit];
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

/** Answers by name, each in the reader's unit system. */
export function inEachSystem(answers: Readonly<Record<string, Answer>>, system: UnitSystem): Record<string, Answer> {
	return Object.fromEntries(Object.entries(answers).map(([name, answer]) => [name, inSystem(answer, system)]));
}

/** The unit a rate of this US unit is shown in. */
export function unitInSystem(unit: string, system: UnitSystem): string {
	return system === 'metric' ? (metricOf(unit)?.unit ?? unit) : unit;
}

/** The number a rate of this US unit is shown as. */
export function valueInSystem(value: number, unit: string, system: UnitSystem): number {
	return system === 'metric' ? value * (metricOf(unit)?.factor ?? 1) : value;
}

/** The US number behind what the reader typed in the shown unit. */
export function valueFromSystem(value: number, unit: string, system: UnitSystem): number {
	return system === 'metric' ? value / (metricOf(unit)?.factor ?? 1) : value;
}
