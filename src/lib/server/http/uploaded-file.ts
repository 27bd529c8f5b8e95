import { json } from '@sveltejs/kit';
import { failureResponse } from './answer';
import { ActionError } from '../book/action-error';

/** A file as the adviser chose it. */
export interface UploadedFile {
	name: string;
	bytes: Uint8Array;
}

/** How large a file may be, and what is said of a larger one after "<name> is over n MB". */
interface Limit {
	megabytes: number;
	said: string;
}

const MAP_FILE: Limit = { megabytes: 20, said: '. Cut out the field first.' };

/** Answers a request whose body is a file; its name stands in the x-file-name header, percent-encoded. */
export async function answerFile(
	request: Request,
	work: (file: UploadedFile) => unknown,
	{ megabytes, said }: Limit = MAP_FILE
): Promise<Response> {
	const most = megabytes * 1024 * 1024;
	try {
		if (request.headers.get('content-type') !== 'application/octet-stream') {
			throw new ActionError('Send the file itself, as application/octet-stream.');
		}
		const name = decodeURIComponent(request.headers.get('x-file-name') ?? 'the file').slice(0, 200);
		const tooLarge = `${name} is over ${megabytes} MB${said}`;
		if (Number(request.headers.get('content-length') ?? 0) > most) throw new ActionError(tooLarge);
		const bytes = new Uint8Array(await request.arrayBuffer());
		if (bytes.length === 0) throw new ActionError(`${name} is empty.`);
		if (bytes.length > most) throw new ActionError(tooLarge);
		return json((await work({ name, bytes })) ?? {});
	} catch (error) {
		return failureResponse(error);
	}
}
