import { answerCall } from '$lib/server/api/answer-call';
import { OPERATIONS } from '$lib/server/api/table';
import { deskOf } from '$lib/server/desk';
import type { RequestHandler } from './$types';

/** Every address under /api is answered by the table of operations. */
export const fallback: RequestHandler = ({ request, url, locals }) =>
	answerCall(OPERATIONS, request, deskOf(locals), (error) => console.error(`${request.method} ${url.pathname}`, error));
