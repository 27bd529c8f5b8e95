import type { TrialDesign, TrialPlan } from '../core/schema-types';

/** Designs of trials as they are named. */
export const DESIGN_NAMES: Readonly<Record<TrialDesign, string>> = {
	blocks: 'Complete blocks',
	'split-plot': 'Split plot',
	paired: 'Paired strips',
	'latin-square': 'Latin square',
	unreplicated: 'Strips without replication'
};

/** How often a design repeats: "4 blocks", "6 rows and columns". */
export function blocksText({ design, blocks }: Pick<TrialPlan, 'design' | 'blocks'>): string {
	return `${blocks} ${design === 'latin-square' ? 'rows and columns' : blocks === 1 ? 'block' : 'blocks'}`;
}
