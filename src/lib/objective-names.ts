import { OBJECTIVE_NAME } from '../core/rates/nitrogen/response/objective-name';
import type { Objective } from '../core/schema-types';

/** The rates that a curve can be read for, as the adviser chooses between them. */
export const OBJECTIVES: readonly {
	id: Objective;
	key: 'mostYield' | 'mostProfit' | 'leastLeft';
	name: string;
}[] = [
	{ id: 'most-yield', key: 'mostYield', name: capital(OBJECTIVE_NAME['most-yield']) },
	{ id: 'most-profit', key: 'mostProfit', name: capital(OBJECTIVE_NAME['most-profit']) },
	{ id: 'least-left', key: 'leastLeft', name: capital(OBJECTIVE_NAME['least-left']) }
];

/** A name as it begins a line. */
export function capital(name: string): string {
	return name.charAt(0).toUpperCase() + name.slice(1);
}
