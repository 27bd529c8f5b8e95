import type { TrialPlan } from '../core/schema-types';

/** Designs of trials as they are named. */
export const DESIGN_NAMES: Readonly<Record<TrialPlan['design'], string>> = {
	blocks: 'Complete blocks',
	'split-plot': 'Split plot',
	paired: 'Paired strips',
	unreplicated: 'Strips without replication'
};
