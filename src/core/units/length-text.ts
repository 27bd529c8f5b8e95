import { formatNumber } from './display';
import { FT_PER_M } from './factors';
import type { UnitSystem } from './rate-units';

/** A length over ground as the reader measures it: "60 ft", or "18.3 m". */
export function lengthText(feet: number, units: UnitSystem): string {
	return units === 'metric'
		? `${formatNumber(Math.round((10 * feet) / FT_PER_M) / 10, 'length')} m`
		: `${formatNumber(Math.round(10 * feet) / 10, 'length')} ft`;
}
