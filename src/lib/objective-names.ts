import type { Objective } from '$core/schema-types';

/** The rates that a curve can be read for, as the adviser chooses between them. */
export const OBJECTIVES: readonly {
	id: Objective;
	key: 'mostYield' | 'mostProfit' | 'leastLeft';
	name: string;
}[] = [
	{ id: 'most-yield', key: 'mostYield', name: 'Most yield' },
	{ id: 'most-profit', key: 'mostProfit', name: 'Most profit' },
	{ id: 'least-left', key: 'leastLeft', name: 'Least left behind' }
];
