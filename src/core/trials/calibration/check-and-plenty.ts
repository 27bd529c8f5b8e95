import type { TrialAnswer, TrialPlan } from '../../schema-types';
import { rateFactor } from '../design/treatments';

/** What a trial yields without the nutrient and with plenty of it. */
export interface CheckAndPlenty {
	without: number;
	plenty: number;
}

/**
 * The means of the zero rate and of the highest, in the unit of the yields: even over blocks and other factors.
 * @returns undefined for a trial without rates, without a zero rate, or where one of the two was not measured
 */
export function checkAndPlenty(
	plan: Pick<TrialPlan, 'factors'>,
	{ means }: Pick<TrialAnswer, 'means'>
): CheckAndPlenty | undefined {
	const factor = rateFactor(plan);
	if (!factor) return undefined;
	const meanAt = (rate: number): number | undefined =>
		means.find(({ levels }) => Object.keys(levels).length === 1 && Number(levels[factor.name]) === rate)?.mean;
	const highest = Math.max(...factor.levels.map(Number));
	const [without, plenty] = [meanAt(0), meanAt(highest)];
	return highest > 0 && without !== undefined && plenty !== undefined && plenty > 0 ? { without, plenty } : undefined;
}
