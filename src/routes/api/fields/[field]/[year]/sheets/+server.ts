import { validator } from '$core/check/validator';
import type { EmptyAction } from '$core/schema-types';
import { answerJson } from '$lib/server/answer';
import { ActionError } from '$lib/server/book/action-error';
import { draftSheet } from '$lib/server/draft-sheet';
import { adviceOf, fieldYearOf } from '$lib/server/params';
import { readSettings } from '$lib/server/stores/settings';
import { issueSheet } from '$lib/server/stores/sheets';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

/** Issues the sheet of a field-year as it stands now. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => {
		const advice = adviceOf(params);
		const settings = readSettings(theBook());
		if (settings.preparedBy === '')
			throw new ActionError('Say who prepares this sheet; a sheet without a name is not issued.');
		if (advice.passes.length === 0) throw new ActionError('The plan has no passes yet; there is nothing to issue.');
		const sheet = issueSheet(theBook(), advice.goal.id, draftSheet(fieldYearOf(params), advice, settings));
		return { id: sheet.id, number: sheet.number };
	});
