import { validator } from '$core/check/validator';
import type { DoneAction } from '$core/schema-types';
import { InputError } from '$core/check/problem';
import { seasonSpan } from '$core/season/plan/season-span';
import { currentLibrary } from '$lib/server/current-library';
import { plantingDateOf } from '$lib/server/field/field-request';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { goalOf } from '$lib/server/http/params';
import { listPasses, markDone } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asDone = validator<DoneAction>('actions#/definitions/DoneAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asDone, ({ pass, doneOn }) => {
		const goal = goalOf(params);
		const record = listPasses(theBook(), goal.id).find(({ plan }) => plan.id === pass);
		if (!record) throw new ActionError('This pass was removed meanwhile. Reload the page.');
		if (doneOn !== null) checkDone(doneOn, plantingDateOf(goal, currentLibrary()));
		markDone(theBook(), goal, record.plan, doneOn);
	});

/** What was applied lies in the season. */
function checkDone(doneOn: string, plantingDate: string): void {
	const { from, to } = seasonSpan(plantingDate);
	if (doneOn >= from && doneOn <= to) return;
	const message = `must lie in the season, ${from} to ${to}; got "${doneOn}"`;
	throw new InputError([{ path: '/doneOn', message }]);
}
