import { asBookFile } from '$lib/server/files/book-file/as-book-file';
import { download } from '$lib/server/files/download';
import { listGrowers } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The whole book, or what is of one grower, as a file that can be imported again. */
export const GET: RequestHandler = ({ url }) => {
	const asked = url.searchParams.get('grower');
	const grower = listGrowers(theBook()).find(({ id }) => id === asked);
	if (asked !== null && !grower) error(404, 'There is no such grower in this book.');
	return download(`${grower?.name ?? 'book'} ${today()}`, '.zip', asBookFile(theBook(), grower?.id));
};
