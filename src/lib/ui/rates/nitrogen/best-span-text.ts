import type { PricedCurve } from '$core/rates/nitrogen/priced-curve';
import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';

/** The rates within $1 and $5 an acre of the best, in words; empty where there is no best. */
export function bestSpanText({ within1, within5 }: PricedCurve, units: UnitSystem): string {
	const band = (edges: readonly [number, number]) =>
		edges.map((edge) => Math.round(valueInSystem(edge, 'lb/ac', units))).join(' to ');
	if (!within1 || !within5) return '';
	return `Within $1/ac of the best: ${band(within1)} ${unitInSystem('lb/ac', units)}. Within $5/ac: ${band(within5)}.`;
}
