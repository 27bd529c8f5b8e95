import { notApplicable, type NotApplicable } from '../../figure/figure';
import type { InputName, RuleFigures } from '../../packs/rule-kind';

/** The parameter of a rule for bearing plantings only. */
export const fromYearParameter = {
	type: 'integer',
	minimum: 1,
	description: 'year of the planting from which it gives a rate; all years where left out'
} as const;

interface Bearing {
	readonly fromYear?: number;
}

/** Age is an input only of rules with a first year. */
export function needsOfBearing({ fromYear }: Bearing): readonly InputName[] {
	return fromYear === undefined ? [] : ['plantAge'];
}

/** Whether the rule gives a rate at this age; false too where the age is missing (NaN). */
export function bears({ fromYear }: Bearing, plantAge: number): boolean {
	return fromYear === undefined || plantAge >= fromYear;
}

/** Why the rule gives no rate yet; undefined where it gives one. */
export function tooYoung({ fromYear }: Bearing, { plantAge }: RuleFigures, title: string): NotApplicable | undefined {
	if (fromYear === undefined || plantAge.value >= fromYear) return undefined;
	const reason = `the rate is for year ${fromYear} on of a planting, and this is year ${plantAge.value}`;
	return notApplicable(title, reason, 'Use the rate by age.');
}
