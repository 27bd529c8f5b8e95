import { answerCall } from '$lib/server/api/answer-call';
import { OPERATIONS } from '$lib/server/api/table';
import { deskOf } from '$lib/server/desk';
import type { RequestHandler } from './$types';

/** Every address under /api is answered by the table of operations. */
export const fallback: RequestHandler = async ({ request, url, locals, platform }) => {
	const accident = (error: unknown) => console.error(`${request.method} ${url.pathname}`, error);
	// The request's own signal tells only of bodies that break off.
	const gone = new AbortController();
	const leave = () => gone.abort();
	const socket = platform?.req.socket;
	socket?.once('close', leave);
	try {
		return await answerCall(OPERATIONS, request, deskOf(locals), accident, gone.signal);
	} finally {
		socket?.off('close', leave);
	}
};
