import { readLabFile } from '$lib/server/files/lab-file/read-file';
import { startImport } from '$lib/server/stores/lab-imports';
import { theBook } from '$lib/server/the-book';
import { answerFile } from '$lib/server/http/uploaded-file';
import type { RequestHandler } from './$types';

const LAB_FILE = { megabytes: 5, said: '; no lab file is. Is it the right one?' };

/** Takes a lab's file as the raw body. */
export const POST: RequestHandler = ({ request }) =>
	answerFile(
		request,
		async ({ name, bytes }) => ({ id: startImport(theBook(), name, await readLabFile(name, bytes)) }),
		LAB_FILE
	);
