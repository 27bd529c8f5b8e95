import { validator } from '$core/check/validator';
import { proposeProgramme } from '$core/season/propose-programme';
import type { EmptyAction } from '$core/schema-types';
import { answerJson } from '$lib/server/answer';
import { ActionError } from '$lib/server/book/action-error';
import { adviceOf } from '$lib/server/params';
import { changePasses } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

/** Proposes passes for the chosen rates in place of those not yet applied. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => {
		const { goal, chosen, context, passes } = adviceOf(params);
		if (chosen.length === 0) throw new ActionError('Choose rates first; there is nothing to place yet.');
		const planned = passes.map(({ plan }) => plan).filter((plan) => !context.applied.includes(plan));
		const programme = proposeProgramme(context);
		changePasses(
			theBook(),
			goal,
			'Proposed a programme',
			planned.map(({ id }) => id),
			programme.passes
		);
		return { notes: programme.notes };
	});
