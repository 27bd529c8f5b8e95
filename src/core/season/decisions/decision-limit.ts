import { figure, type Answer } from '../../figure/figure';
import type { DecisionPlan } from '../../schema-types';
import { MM_PER_IN } from '../../units/factors';
import { inSystem, unitInSystem, valueInSystem, type UnitSystem } from '../../units/rate-units';
import { rainUnit } from '../../units/weather-units';

type Look = DecisionPlan['look'];

/** What each look is kept in. */
const KEPT = { rain: 'in', nitrate: 'lb/ac', test: 'ppm', strips: '%' } as const satisfies Record<Look, string>;

/** What the limit of a decision is shown in. */
export function limitUnit(look: Look, units: UnitSystem): string {
	return look === 'rain' ? rainUnit(units) : unitInSystem(KEPT[look], units);
}

/** How many of the shown unit are one of that in which a limit is kept. */
export function limitPer(look: Look, units: UnitSystem): number {
	if (look === 'rain') return units === 'metric' ? MM_PER_IN : 1;
	return valueInSystem(1, KEPT[look], units);
}

/** What was seen, in the unit in which its limit is shown. */
export function seenInSystem(seen: Answer, look: Look, units: UnitSystem): Answer {
	if (look !== 'rain' || !seen.applies || units === 'us') return inSystem(seen, units);
	return figure({
		label: seen.label,
		value: seen.value * MM_PER_IN,
		unit: 'mm',
		formula: `in x ${MM_PER_IN}`,
		inputs: [seen],
		basis: seen.basis
	});
}
