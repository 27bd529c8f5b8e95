import type { ScheduleStep } from '../../schema-types';

/**
 * Pounds of nitrogen by step where the schedule says how they are divided: steps with pounds of their own first, the
 * rest by weight. What is left of a season is divided by the weights of what is left.
 * @returns undefined where no step says so
 */
export function plannedShares(
	wanted: number,
	steps: readonly Pick<ScheduleStep, 'shareN' | 'ownN'>[]
): number[] | undefined {
	const weights = steps.reduce((sum, { shareN = 0 }) => sum + shareN, 0);
	const owned = steps.reduce((sum, { ownN = 0 }) => sum + ownN, 0);
	if (weights + owned === 0) return undefined;
	// Where there is no more than the own pounds, or nothing to share with, those are cut alike.
	const own = weights === 0 ? wanted : Math.min(wanted, owned);
	return steps.map(({ shareN = 0, ownN = 0 }) =>
		shareN > 0 ? ((wanted - own) * shareN) / weights : owned === 0 ? 0 : (own * ownN) / owned
	);
}
