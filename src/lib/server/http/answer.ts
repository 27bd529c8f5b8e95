import { json } from '@sveltejs/kit';
import { InputError } from '../../../core/check/problem';
import { ActionError } from '../book/action-error';

/** A request of the headless door is one field; anything near this size is a mistake or an attack. */
const MOST_BODY_BYTES = 1024 * 1024;

/**
 * Reads a JSON body, runs the work and answers with what it returns.
 * 400 not JSON, 409 the book does not allow it, 413 too large, 415 not sent as JSON, 422 does not fit the schema.
 */
export async function answerJson<T>(
	request: Request,
	check: (body: unknown) => T,
	work: (body: T) => unknown
): Promise<Response> {
	if (!request.headers.get('content-type')?.startsWith('application/json')) {
		return refuse(415, 'must be sent with content-type: application/json');
	}
	try {
		const text = await readText(request);
		if (text === undefined) return refuse(413, `must be at most ${MOST_BODY_BYTES} bytes`);
		return json((await work(check(parse(text)))) ?? {});
	} catch (error) {
		return failureResponse(error);
	}
}

/** Answers a question without a body; what the book does not allow is a 409 here too. */
export async function answerQuestion(work: () => unknown): Promise<Response> {
	try {
		return json(await work());
	} catch (error) {
		return failureResponse(error);
	}
}

/** The answer to what went wrong on purpose; what went wrong by accident is thrown on. */
export function failureResponse(error: unknown): Response {
	if (error instanceof NotJson) return refuse(400, error.message);
	if (error instanceof InputError) return json({ message: error.message, problems: error.problems }, { status: 422 });
	if (error instanceof ActionError) return json({ message: error.message, problems: [] }, { status: 409 });
	if (isTooLarge(error)) return refuse(413, `must be at most ${MOST_BODY_BYTES} bytes`);
	throw error;
}

class NotJson extends Error {}

function parse(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch (error) {
		throw new NotJson(`is not JSON: ${(error as Error).message}`);
	}
}

async function readText(request: Request): Promise<string | undefined> {
	if (Number(request.headers.get('content-length') ?? 0) > MOST_BODY_BYTES) return undefined;
	const bytes = new Uint8Array(await request.arrayBuffer());
	return bytes.length > MOST_BODY_BYTES ? undefined : new TextDecoder().decode(bytes);
}

/** The server's own limit shows as an error with a status while the body is read. */
function isTooLarge(error: unknown): boolean {
	return typeof error === 'object' && error !== null && 'status' in error && error.status === 413;
}

function refuse(status: number, message: string): Response {
	return json({ message, problems: [{ path: '', message }] }, { status });
}
