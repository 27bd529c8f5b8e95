import type { Desk } from '../../desk';
import { listGrowers } from '../../stores/fields';

/** The adviser’s own rules beside the usual ceilings. */
export function houseRulesPage({ book, library }: Desk) {
	const { houseRules, seasonLimits, crops } = library;
	return {
		title: 'My rules',
		rules: houseRules,
		usual: seasonLimits.besideSeed,
		crops: crops.map(({ id, name }) => ({ id, name })),
		growers: listGrowers(book).map(({ name }) => name)
	};
}
