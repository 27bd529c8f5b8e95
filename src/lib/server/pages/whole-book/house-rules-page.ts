import type { Desk } from '../../desk';

/** The adviser’s own rules beside the usual ceilings. */
export function houseRulesPage({ library }: Desk) {
	const { houseRules, seasonLimits } = library;
	return { title: 'My rules', rules: houseRules, usual: seasonLimits.besideSeed };
}
