import { validator } from '$core/check/validator';
import type { IssueAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { issueNow } from '$lib/server/field/issue-sheet';
import { fieldYearOf } from '$lib/server/http/params';
import type { RequestHandler } from './$types';

const asIssue = validator<IssueAction>('actions#/definitions/IssueAction');

/** Issues the sheet of a field-year as it stands now, if that is what was looked at. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asIssue, ({ seen }) => {
		const { id, number, again } = issueNow(fieldYearOf(params), seen);
		return { id, number, again };
	});
