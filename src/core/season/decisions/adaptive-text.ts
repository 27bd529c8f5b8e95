import { formatQuantity } from '../../units/display';
import type { AdaptiveChance } from '../model/stress-test';

/** What deciding within the season brings against a programme that does not, and in how many seasons it does not. */
export function adaptiveText(chance: AdaptiveChance, yieldUnit: string): string {
	const { plan, against, unit, gain, better, seasons, betterWet, wetSeasons, decided, decidedWet } = chance;
	const amount = (value: number) =>
		unit === '$/ac' ? formatQuantity(value, '$/ac') : `${Math.round(value * 10) / 10} ${yieldUnit}`;
	return `“${plan}” adds in ${decided} of ${seasons} seasons (${decidedWet} of the ${wetSeasons} wettest). Against “${against}” it comes out ${amount(gain.mean)} ahead on the mean and ${amount(gain.wet)} in the wettest fifth; it does not in ${seasons - better} of ${seasons} seasons (${wetSeasons - betterWet} of the ${wetSeasons} wettest).`;
}
