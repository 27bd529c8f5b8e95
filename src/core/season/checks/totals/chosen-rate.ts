import { choiceFaults } from '../../../rates/choice-faults';
import { entriesOf } from '../../../check/typed-object';
import type { PassCheck, SeasonCheck } from '../check';

/** What speaks against the chosen rates themselves, in the words of the page of rates. */
export const chosenRateCheck: SeasonCheck = (_, { chosen, choiceFacts, units }) =>
	entriesOf(choiceFacts).flatMap(([nutrient, facts]): PassCheck[] => {
		const pounds = chosen[nutrient];
		if (pounds === undefined || facts === undefined) return [];
		return choiceFaults(nutrient, pounds, facts, units).map(({ severity, text }) => ({
			rule: 'chosen-rate',
			severity,
			text,
			basis: 'practice',
			remedies: []
		}));
	});
