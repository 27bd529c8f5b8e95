import type { Observation } from '../../../schema-types';

/** The names of the blocks; none where a plot has no block. */
export function blocksOf(observations: readonly Observation[]): (string | number)[] {
	const named = observations.flatMap(({ block }) => (block === undefined ? [] : [block]));
	return named.length === observations.length ? [...new Set(named)] : [];
}
