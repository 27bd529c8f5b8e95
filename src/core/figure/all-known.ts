import { becauseOf, type Answer, type Figure } from './figure';

/** What follows where every input is known; else why the first missing one is. */
export function allKnown<const Names extends string>(
	label: string,
	inputs: Record<Names, Answer>,
	follows: (known: Record<Names, Figure>) => Answer
): Answer {
	for (const answer of Object.values<Answer>(inputs)) {
		if (!answer.applies) return becauseOf(answer, label);
	}
	return follows(inputs as Record<Names, Figure>);
}
