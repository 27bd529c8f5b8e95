import { currentLibrary } from '$lib/server/current-library';
import type { RequestHandler } from './$types';

/** The ranges that stand as one file, which the page and the API take in again. */
export const GET: RequestHandler = () =>
	new Response(`${JSON.stringify({ ranges: currentLibrary().leafRanges }, null, '\t')}\n`, {
		headers: {
			'content-type': 'application/json',
			'content-disposition': 'attachment; filename="leaf-ranges.json"'
		}
	});
