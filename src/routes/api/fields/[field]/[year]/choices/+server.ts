import { validator } from '$core/check/validator';
import type { Choice } from '$core/rates/choose';
import type { ChooseAction, UnchooseAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { adviceOf, goalOf } from '$lib/server/http/params';
import { choose, unchoose } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asChoose = validator<ChooseAction>('actions#/definitions/ChooseAction');
const asUnchoose = validator<UnchooseAction>('actions#/definitions/UnchooseAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asChoose, ({ label, choices, nitrogen, confirmSimulated }) => {
		const { goal, answer } = adviceOf(params);
		for (const { nutrient, method, bothYears } of choices) {
			if (method === undefined) continue;
			const rate = answer.rates.find((candidate) => candidate.method === method && candidate.nutrient === nutrient);
			if (rate?.simulated && !confirmSimulated) {
				throw new ActionError(
					`${rate.worksheet.label} is a simulated curve, measured on no field: confirm that you want to go by it.`
				);
			}
			if (rate?.stands === 'for this dressing') {
				throw new ActionError(
					`${method} gives one dressing, not the nitrogen of the season. Take it into the season instead.`
				);
			}
			// A curve may give no rate at the objective of before, and one at the objective that goes with this choice.
			const given = bothYears ? rate?.bothYears?.applies : rate?.applies || nitrogen !== undefined;
			if (!given) throw new ActionError(`${method} gives no rate for ${nutrient} here.`);
		}
		choose(theBook(), goal, choices as Choice[], label, nitrogen);
	});

export const DELETE: RequestHandler = ({ request, params }) =>
	answerJson(request, asUnchoose, ({ nutrient }) => unchoose(theBook(), goalOf(params), nutrient));
