import { choiceFaults } from '../../../rates/choice-faults';
import { entriesOf } from '../../../check/typed-object';
import type { PassCheck, SeasonCheck } from '../check';

/** What speaks against the chosen rates themselves, in the words of the page of rates. */
export const chosenRateCheck: SeasonCheck = (_, { chosen, choiceFacts, moved = [], units }) => {
	const faults = entriesOf(choiceFacts).flatMap(([nutrient, facts]) => {
		const pounds = chosen[nutrient];
		return pounds === undefined || facts === undefined ? [] : choiceFaults(nutrient, pounds, facts, units);
	});
	const asked = moved.map((text) => ({ severity: 'mind' as const, text }));
	return [...faults, ...asked].map(({ severity, text }): PassCheck => ({
		rule: 'chosen-rate',
		severity,
		text,
		basis: 'practice',
		remedies: []
	}));
};
