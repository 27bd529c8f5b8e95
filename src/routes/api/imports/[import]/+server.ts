import { json } from '@sveltejs/kit';
import { discardImport } from '$lib/server/stores/lab-imports';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

export const DELETE: RequestHandler = ({ params }) => {
	discardImport(theBook(), params.import);
	return json({});
};
