import type { Rate, SecondNitrogen } from '../../schema-types';
import { chosenRate, type Chosen } from '../choose';

/**
 * The nitrogen settled on for a second crop.
 * @param rates of the second crop, in US units
 * @returns undefined where none was settled on, or its method gives none any more
 */
export function chosenOfSecond(settled: SecondNitrogen | undefined, rates: readonly Rate[]): Chosen | undefined {
	const { method, ownRate, reason = '' } = settled ?? {};
	if (ownRate !== undefined) return chosenRate({ nutrient: 'N', ownRate, reason }, rates);
	return method === undefined ? undefined : chosenRate({ nutrient: 'N', method }, rates);
}
