import { json } from '@sveltejs/kit';
import { failureResponse } from './answer';
import { ActionError } from './book/action-error';

const MOST_BYTES = 20 * 1024 * 1024;

/** A file as the adviser chose it. */
export interface UploadedFile {
	name: string;
	bytes: Uint8Array;
}

/** Answers a request whose body is a map file; its name stands in the x-file-name header, percent-encoded. */
export async function answerFile(request: Request, work: (file: UploadedFile) => unknown): Promise<Response> {
	try {
		if (request.headers.get('content-type') !== 'application/octet-stream') {
			throw new ActionError('Send the file itself, as application/octet-stream.');
		}
		const name = decodeURIComponent(request.headers.get('x-file-name') ?? 'file').slice(0, 200);
		const tooLarge = `${name} is over ${MOST_BYTES / 1024 / 1024} MB. Cut out the field first.`;
		if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) throw new ActionError(tooLarge);
		const bytes = new Uint8Array(await request.arrayBuffer());
		if (bytes.length > MOST_BYTES) throw new ActionError(tooLarge);
		return json((await work({ name, bytes })) ?? {});
	} catch (error) {
		return failureResponse(error);
	}
}
