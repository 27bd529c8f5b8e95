import type { Rate, SecondNitrogen } from '../../schema-types';
import { chosenRate, type Chosen } from '../choose';

/**
 * The nitrogen settled on for a second crop.
 * @param rates of the second crop, in US units
 * @returns undefined where none was settled on, or its method gives none any more
 */
export function chosenOfSecond(settled: SecondNitrogen | undefined, rates: readonly Rate[]): Chosen | undefined {
	const { method, ownRate, reason = '', seenRate: seen } = settled ?? {};
	if (ownRate !== undefined) return chosenRate({ nutrient: 'N', ownRate, reason }, rates);
	if (method === undefined) return undefined;
	return chosenRate({ nutrient: 'N', method, ...(seen === undefined ? {} : { seen }) }, rates);
}
