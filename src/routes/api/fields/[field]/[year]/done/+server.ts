import { validator } from '$core/check/validator';
import type { DoneAction } from '$core/schema-types';
import { answerJson } from '$lib/server/answer';
import { ActionError } from '$lib/server/book/action-error';
import { goalOf } from '$lib/server/params';
import { listPasses, markDone } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asDone = validator<DoneAction>('actions#/definitions/DoneAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asDone, ({ pass, doneOn }) => {
		const goal = goalOf(params);
		const record = listPasses(theBook(), goal.id).find(({ plan }) => plan.id === pass);
		if (!record) throw new ActionError('This pass was removed meanwhile. Reload the page.');
		markDone(theBook(), goal, record.plan, doneOn);
	});
