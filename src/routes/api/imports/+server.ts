import { json } from '@sveltejs/kit';
import { failureResponse } from '$lib/server/answer';
import { ActionError } from '$lib/server/book/action-error';
import { readLabFile } from '$lib/server/lab-file/read-file';
import { startImport } from '$lib/server/stores/lab-imports';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const MOST_BYTES = 5 * 1024 * 1024;

/** Takes a lab's file as the raw body; its name stands in the x-file-name header, percent-encoded. */
export const POST: RequestHandler = async ({ request }) => {
	try {
		if (request.headers.get('content-type') !== 'application/octet-stream') {
			throw new ActionError('Send the file itself, as application/octet-stream.');
		}
		const name = decodeURIComponent(request.headers.get('x-file-name') ?? 'lab file').slice(0, 200);
		if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) {
			throw new ActionError(`${name} is over 5 MB; no lab file is. Is it the right one?`);
		}
		const bytes = new Uint8Array(await request.arrayBuffer());
		if (bytes.length === 0) throw new ActionError(`${name} is empty.`);
		if (bytes.length > MOST_BYTES) throw new ActionError(`${name} is over 5 MB; no lab file is. Is it the right one?`);
		return json({ id: startImport(theBook(), name, await readLabFile(name, bytes)) });
	} catch (error) {
		return failureResponse(error);
	}
};
