import type { TrialPlan } from '../../schema-types';
import { treatmentNames } from './treatments';

const LETTERS = 26;

/** A short name for each treatment, for maps and flags: A, B, C in the plan's order. */
export function treatmentCodes(plan: Pick<TrialPlan, 'factors'>): Map<string, string> {
	return new Map(treatmentNames(plan).map((name, at) => [name, codeOf(at)]));
}

function codeOf(at: number): string {
	const letter = String.fromCharCode(65 + (at % LETTERS));
	return at < LETTERS ? letter : `A${letter}`;
}

/** A treatment with the unit of its rate: "180 lb N/ac"; several factors are named. */
export function treatmentText(
	{ factors }: Pick<TrialPlan, 'factors'>,
	levels: Readonly<Record<string, string>>
): string {
	const text = ({ name, unit }: TrialPlan['factors'][number]) => `${levels[name]}${unit ? ` ${unit}` : ''}`;
	return factors.map(text).join(', ');
}
