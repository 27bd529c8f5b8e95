import { answerJson } from '$lib/server/http/answer';
import { saveDraft } from '$lib/server/stores/lab-imports';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = ({ request, params }) =>
	answerJson(
		request,
		(body) => body,
		(draft) => saveDraft(theBook(), params.import, draft)
	);
