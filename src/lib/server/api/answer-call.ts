import { isDeepStrictEqual } from 'node:util';
import { json } from '@sveltejs/kit';
import type { Desk } from '../desk';
import type { SentFile } from '../files/sent-file';
import { checkAddress, checkNamed } from './belongs';
import type { Operation } from './operation';
import { routeOf } from './path';
import { readFile, readJson } from './read-body';
import { ChangedMeanwhile, refusalOf, refuse } from './refusals';

const NO_FILE: SentFile = { name: '', bytes: new Uint8Array() };

/**
 * Answers a request to the API by the operation for its method and address.
 * @param accident is told what goes wrong in the program
 * @param gone that nobody waits for the answer any more
 */
export async function answerCall(
	operations: readonly Operation[],
	request: Request,
	desk: Desk,
	accident: (error: unknown) => void,
	gone: AbortSignal = request.signal
): Promise<Response> {
	const url = new URL(request.url);
	const route = routeOf(operations, request.method, url.pathname);
	if ('methods' in route) {
		if (route.methods.length === 0) return refuse(404, 'There is nothing at this address.');
		const methods = route.methods.join(', ');
		const refusal = refuse(405, `This address knows ${methods}; got ${request.method}.`);
		refusal.headers.set('allow', methods);
		return refusal;
	}
	try {
		return json((await answerOf(route.operation, request, route.params, url.searchParams, desk, gone)) ?? {});
	} catch (error) {
		const refusal = refusalOf(error);
		if (refusal) return refusal;
		accident(error);
		return refuse(500, 'Something went wrong in the program; nothing was saved. Its log says more.');
	}
}

async function answerOf(
	{ body: shape, file, names, stands, run }: Operation,
	request: Request,
	params: Record<string, string>,
	query: URLSearchParams,
	desk: Desk,
	gone: AbortSignal
): Promise<unknown> {
	const call = { params, query, desk, gone };
	const uploaded = file ? await readFile(request, file) : NO_FILE;
	const body = shape ? shape.check(await readJson(request)) : {};
	checkAddress(desk.book, params);
	if (names) checkNamed(desk.book, params, names(body));
	const seen = stands && (body as { seen?: unknown }).seen;
	if (seen !== undefined) {
		const now = plain(stands!(call, body) ?? null);
		if (!isDeepStrictEqual(now, plain(seen))) throw new ChangedMeanwhile(now);
	}
	return run(call, body, uploaded);
}

/** A value as JSON carries it: what is undefined is not there. */
function plain(value: unknown): unknown {
	return JSON.parse(JSON.stringify(value)) as unknown;
}
