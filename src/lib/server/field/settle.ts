import { rateByNow, withSeen, type Choice } from '../../../core/rates/choose';
import type { SecondCrop } from '../../../core/schema-types';
import { ActionError } from '../book/action-error';
import type { Desk } from '../desk';
import { listCurves } from '../stores/response-curves';
import type { FieldYearRow } from '../stores/field-years';
import { secondCropOf } from '../stores/plan/after-the-harvest';
import { adviceFrom, type Advice, type FieldYear } from './field-year';
import { recordsOf } from './field-request';

/**
 * Choices with the rates they give together: sulfur by a ratio takes the nitrogen chosen with it.
 * @param goal with the terms of nitrogen that go with them
 * @throws ActionError where a method gives no rate
 */
export function settledChoices(desk: Desk, of: FieldYear, goal: FieldYearRow, choices: readonly Choice[]): Choice[] {
	const { chosen, lapsed } = adviceIf(desk, of, goal, choices);
	for (const { nutrient, method } of choices) {
		if (lapsed.some((one) => one.nutrient === nutrient))
			throw new ActionError(`${method} gives no rate for ${nutrient} here.`);
	}
	return withSeen(choices, chosen);
}

/** A second crop with the rate that the method chosen for its nitrogen gives. */
export function settledSecondCrop(desk: Desk, of: FieldYear, goal: FieldYearRow, second: SecondCrop): SecondCrop {
	const { nitrogen } = second;
	if (nitrogen?.method === undefined || !of.sample) return second;
	const before = secondCropOf(goal)?.nitrogen;
	if (before?.method === nitrogen.method && nitrogen.seenRate !== undefined && before.seenRate === nitrogen.seenRate)
		return second;
	const { method } = nitrogen;
	const unseen = { ...second, nitrogen: { method } };
	const rate = adviceIf(desk, of, { ...goal, second_crop: JSON.stringify(unseen) }, []).secondNitrogen?.rate.value;
	return rate === undefined ? unseen : { ...second, nitrogen: { method, seenRate: rate } };
}

/** The nitrogen that the chosen approach gives for another yield goal, of an own rate the highest approach; lb/ac. */
export function nitrogenAtGoal(desk: Desk, of: FieldYear, goal: FieldYearRow, yieldGoal: number): number | undefined {
	const { choices, answer, context } = adviceIf(desk, of, { ...goal, yield_goal: yieldGoal }, []);
	const choice = choices.find(({ nutrient }) => nutrient === 'N');
	if (choice?.method === undefined) return context.choiceFacts.N?.highest?.pounds;
	return rateByNow(choice, answer.rates)?.rate.value;
}

/** What would follow for a field-year from another goal and other choices. */
function adviceIf(
	{ book, library, today }: Desk,
	{ field, samples, prices }: FieldYear,
	goal: FieldYearRow,
	choices: readonly Choice[]
): Advice {
	const records = recordsOf(book, field, goal, samples, prices, listCurves(book));
	const others = records.choices.filter(({ nutrient }) => !choices.some((one) => one.nutrient === nutrient));
	return adviceFrom(library, { ...records, choices: [...others, ...choices] }, today);
}
