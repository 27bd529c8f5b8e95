import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { refuse } from '$lib/server/api/refusals';
import { hostVerdict } from '$lib/server/http/host-check';
import { ActionError } from '$lib/server/book/action-error';
import { BookTrouble } from '$lib/server/book/book-trouble';
import { troublePage } from '$lib/server/http/trouble-page';
import { theBook } from '$lib/server/the-book';
import { isForeignWrite } from '$lib/server/http/write-check';

/** Opened when the program starts: who starts it reads at once what is wrong with the book. */
export const init: ServerInit = () => {
	const trouble = troubleOpening();
	if (trouble !== undefined) console.error(trouble);
};

/** Why the book cannot be opened; asked anew each time, so that a book that was put right is served. */
function troubleOpening(): string | undefined {
	try {
		theBook();
		return undefined;
	} catch (error) {
		// The second: a copy that was asked for with --restore and is not there, or not whole.
		if (error instanceof BookTrouble || error instanceof ActionError) return error.message;
		throw error;
	}
}

/** The letters of nearly every page as well, before its styles ask for them: else they are laid out twice. */
const preload = ({ type, path }: { type: string; path: string }) =>
	type === 'font' ? path.includes('/often.') : type === 'js' || type === 'css';

export const handle: Handle = async ({ event, resolve }) => {
	const { request, url } = event;
	const verdict = hostVerdict(request.headers.get('host'), url, process.env.ORIGIN);
	if (verdict === 'refuse') return new Response('This address does not belong to the program.', { status: 421 });
	if (isForeignWrite(request.method, request.headers, process.env.ORIGIN)) {
		return refuse(403, 'This was sent by a page of another site; nothing was saved.');
	}
	if (verdict !== 'serve' && request.method === 'GET') {
		return new Response(null, { status: 307, headers: { location: verdict.moveTo } });
	}
	const trouble = troubleOpening();
	if (trouble !== undefined) return troublePage(url.pathname, trouble);
	const response = await resolve(event, { preload });
	// What grows on whose field stays out of caches: of the browser, of whoever sits at it next, and on the way.
	if (!response.headers.has('Cache-Control')) response.headers.set('Cache-Control', 'no-store');
	response.headers.set('Referrer-Policy', 'no-referrer');
	return response;
};

/** The client gets a sentence; the stack stays on the server's own log. */
export const handleError: HandleServerError = ({ error, event, status }) => {
	if (status === 404) return { message: 'There is no such page.' };
	if (status === 413) return { message: 'That is more than the program takes at once.' };
	console.error(`${event.request.method} ${event.url.pathname}`, error);
	return { message: 'Something went wrong in the program; nothing was saved. Its log says more.' };
};
