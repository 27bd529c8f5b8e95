import { controlProblem, withoutControls } from '../../../core/check/control-characters';
import { entriesOf, isOneOf } from '../../../core/check/typed-object';
import { MOST_NESTED, tooDeepAt } from '../../../core/check/nested-json';
import { messageOf } from '../../../core/check/message-of';
import { InputError } from '../../../core/check/problem';
import { ActionError } from '../book/action-error';
import type { SentFile } from '../files/sent-file';
import type { FileBody } from './operation';

/** A body of JSON is one field at most; anything near this size is a mistake or an attack. */
const MOST_BODY_BYTES = 1024 * 1024;

/** What was sent cannot be read at all; the status says in which way. */
export class UnreadableBody extends Error {
	constructor(
		readonly status: 400 | 413 | 415,
		message: string
	) {
		super(message);
		this.name = 'UnreadableBody';
	}
}

/**
 * The JSON of a body; what has none, a question or a removal, is an empty object.
 * @throws UnreadableBody where it is no JSON, too large, or sent as something else
 * @throws InputError for a control character in one of its texts
 */
export async function readJson(request: Request): Promise<unknown> {
	if (request.method === 'GET' || request.method === 'DELETE') return {};
	// Asked for also where nothing is in it: a page of another site cannot send this type unasked.
	if (!request.headers.get('content-type')?.startsWith('application/json')) {
		throw new UnreadableBody(415, 'must be sent with content-type: application/json');
	}
	const bytes = await readBytes(request, MOST_BODY_BYTES);
	if (!bytes) throw new UnreadableBody(413, `must be at most ${MOST_BODY_BYTES} bytes`);
	const text = new TextDecoder().decode(bytes);
	if (tooDeepAt(text) !== undefined) {
		throw new UnreadableBody(400, `must be nested at most ${MOST_NESTED} deep`);
	}
	const body = withPlainFiles(parsed(text));
	const problem = controlProblem(body);
	if (problem) throw new InputError([problem]);
	return body;
}

/** Under these a body carries the text of a file. */
const FILES = ['csv', 'text'] as const;

/** A file may be the wrong one, a picture say: its reader tells that better than a control character in it. */
function withPlainFiles(body: unknown): unknown {
	if (typeof body !== 'object' || body === null || Array.isArray(body)) return body;
	const files = entriesOf(body as Record<string, unknown>).flatMap(([key, value]) =>
		isOneOf(FILES, key) && typeof value === 'string' ? [[key, withoutControls(value)] as const] : []
	);
	return files.length === 0 ? body : { ...body, ...Object.fromEntries(files) };
}

function parsed(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch (error) {
		throw new UnreadableBody(400, `is not JSON: ${messageOf(error)}`);
	}
}

/**
 * The file of a body; its name stands in the x-file-name header, percent-encoded.
 * @throws ActionError where it is empty or too large
 */
export async function readFile(request: Request, { megabytes, tooLarge }: FileBody): Promise<SentFile> {
	if (request.headers.get('content-type') !== 'application/octet-stream') {
		throw new ActionError('Send the file itself, as application/octet-stream.');
	}
	const name = fileName(request.headers.get('x-file-name'));
	const bytes = await readBytes(request, megabytes * 1024 * 1024);
	if (!bytes) throw new ActionError(`${name} is over ${megabytes} MB${tooLarge}`);
	if (bytes.length === 0) throw new ActionError(`${name} is empty.`);
	return { name, bytes };
}

/**
 * The name of a file, without what no name is written with: it stands in sentences, lists and files that go out.
 * @throws UnreadableBody where it is not percent-encoded
 */
function fileName(header: string | null): string {
	try {
		const name = decodeURIComponent(header ?? '')
			.replace(/\p{C}/gu, '')
			.trim();
		return name.slice(0, 200) || 'the file';
	} catch {
		throw new UnreadableBody(400, `x-file-name must be percent-encoded; got "${header!.slice(0, 80)}"`);
	}
}

/** The bytes of a body; undefined where there are more than it may have, announced or not. */
async function readBytes(request: Request, most: number): Promise<Uint8Array | undefined> {
	if (Number(request.headers.get('content-length') ?? 0) > most) return undefined;
	try {
		const bytes = new Uint8Array(await request.arrayBuffer());
		return bytes.length > most ? undefined : bytes;
	} catch (error) {
		// The server's own limit shows as an error with a status while the body is read.
		if (typeof error === 'object' && error !== null && 'status' in error && error.status === 413) return undefined;
		throw error;
	}
}
