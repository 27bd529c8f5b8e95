import { json } from '@sveltejs/kit';
import { InputError } from '../../../core/check/problem';
import { ActionError } from '../book/action-error';
import { UnreadableBody } from './read-body';

/** There is nothing at an address; the message is for the adviser. */
export class NotThere extends Error {
	constructor(message: string) {
		super(message);
		this.name = 'NotThere';
	}
}

/** What is in the book is no longer what the page showed. */
export class ChangedMeanwhile extends Error {
	constructor(
		/** What stands in the book, in the shape of the body's `seen`. */
		readonly now: unknown
	) {
		super('This was changed in the book after the page was loaded; nothing was saved.');
		this.name = 'ChangedMeanwhile';
	}
}

/**
 * The one shape of every refusal: `{message, problems}`, and `now` where somebody changed it meanwhile.
 * 400 not JSON, 403 sent by a page of another site (src/hooks.server.ts), 404 not there, 405 another method, 409 the book does not allow it, 413 too large, 415 not sent as JSON, 422 does not
 * fit the schema.
 * @returns undefined for what went wrong by accident
 */
export function refusalOf(error: unknown): Response | undefined {
	if (error instanceof UnreadableBody)
		return refuse(error.status, error.message, [{ path: '', message: error.message }]);
	if (error instanceof InputError) return refuse(422, error.message, error.problems);
	if (error instanceof ActionError) return refuse(409, error.message);
	if (error instanceof NotThere) return refuse(404, error.message);
	if (error instanceof ChangedMeanwhile) return refuse(409, error.message, [], { now: error.now });
	if (isHttpError(error)) return refuse(error.status, error.body.message);
	return undefined;
}

export function refuse(
	status: number,
	message: string,
	problems: readonly { path: string; message: string }[] = [],
	more: object = {}
): Response {
	return json({ message, problems, ...more }, { status });
}

/** What the loaders of pages throw for a field or year that is not there. */
function isHttpError(error: unknown): error is { status: number; body: { message: string } } {
	return typeof error === 'object' && error !== null && 'status' in error && 'body' in error;
}
