import type { Objective } from '../../../schema-types';

/** What advisers call the rates that a curve is read for. */
export const OBJECTIVE_NAME: Record<Objective, string> = {
	'most-yield': 'maximum yield',
	'most-profit': 'economic optimum',
	'least-left': 'lowest residual N'
};
