import type { TrialAnswer, TrialMean } from '../../schema-types';

/** Means of whole treatments: of every combination of the factors, not of the levels of one of them. */
export function wholeMeans({ means }: Pick<TrialAnswer, 'means'>): TrialMean[] {
	const factors = Math.max(0, ...means.map(({ levels }) => Object.keys(levels).length));
	return means.filter(({ levels }) => Object.keys(levels).length === factors);
}
