import { quantityIn } from '../../units/amount-text';
import type { UnitSystem } from '../../units/rate-units';
import type { AdaptiveChance } from '../model/stress-test';

/** What deciding within the season brings against a programme that does not, and in how many seasons it does not. */
export function adaptiveText(chance: AdaptiveChance, yieldUnit: string, units: UnitSystem): string {
	const { plan, against, unit, gain, better, seasons, betterWet, wetSeasons, decided, decidedWet } = chance;
	const size = (value: number) =>
		unit === '$/ac' ? quantityIn(units, value, unit) : quantityIn(units, Math.round(value * 10) / 10, yieldUnit);
	const apart = (value: number) => `${size(Math.abs(value))} ${value < 0 ? 'behind' : 'ahead'}`;
	return `“${plan}” adds in ${decided} of ${seasons} seasons (${decidedWet} of the ${wetSeasons} wettest). Against “${against}” it comes out ${apart(gain.mean)} on the mean and ${apart(gain.wet)} in the wettest fifth; it does not in ${seasons - better} of ${seasons} seasons (${wetSeasons - betterWet} of the ${wetSeasons} wettest).`;
}
