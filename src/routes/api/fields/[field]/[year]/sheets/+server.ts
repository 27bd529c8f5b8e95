import { validator } from '$core/check/validator';
import type { EmptyAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { issueNow } from '$lib/server/field/issue-sheet';
import { fieldYearOf } from '$lib/server/http/params';
import type { RequestHandler } from './$types';

const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

/** Issues the sheet of a field-year as it stands now. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => {
		const { id, number } = issueNow(fieldYearOf(params));
		return { id, number };
	});
