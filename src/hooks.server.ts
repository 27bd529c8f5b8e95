import type { Handle, HandleServerError } from '@sveltejs/kit';
import { hostVerdict } from '$lib/server/http/host-check';

export const handle: Handle = async ({ event, resolve }) => {
	const verdict = hostVerdict(event.request.headers.get('host'), event.url, process.env.ORIGIN);
	if (verdict === 'refuse') return new Response('This address does not belong to the program.', { status: 421 });
	if (verdict !== 'serve' && event.request.method === 'GET') {
		return new Response(null, { status: 307, headers: { location: verdict.moveTo } });
	}
	const response = await resolve(event);
	response.headers.set('X-Content-Type-Options', 'nosniff');
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
