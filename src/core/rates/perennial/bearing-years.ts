import { notApplicable, type NotApplicable } from '../../figure/figure';
import type { InputName, RuleFigures } from '../../packs/rule-kind';

/** The parameter of a rule that speaks for bearing plantings only. */
export const fromYearParameter = {
	type: 'integer',
	minimum: 1,
	description: 'year of its life from which the rule speaks; every year where left out'
} as const;

interface Bearing {
	readonly fromYear?: number;
}

/** The year of its life is asked for only where the rule goes by it. */
export function needsOfBearing({ fromYear }: Bearing): readonly InputName[] {
	return fromYear === undefined ? [] : ['plantAge'];
}

/** Whether the rule speaks for a planting of this age; false too where the age is missing (NaN). */
export function bears({ fromYear }: Bearing, plantAge: number): boolean {
	return fromYear === undefined || plantAge >= fromYear;
}

/** Why the rule says nothing yet; undefined where it speaks. */
export function tooYoung({ fromYear }: Bearing, { plantAge }: RuleFigures, title: string): NotApplicable | undefined {
	if (fromYear === undefined || plantAge.value >= fromYear) return undefined;
	const reason = `the rate is for year ${fromYear} on of a planting, and this is year ${plantAge.value}`;
	return notApplicable(title, reason, 'Use the rate by age.');
}
