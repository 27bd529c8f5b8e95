import { error } from '@sveltejs/kit';
import { currentLibrary } from '$lib/server/current-library';
import { listGuideVersions } from '$lib/server/stores/guides';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** The guide as a file to keep or to hand on; `?version=` gives an older one. */
export const GET: RequestHandler = ({ params, url }) => {
	const version = url.searchParams.get('version');
	const guide = version
		? listGuideVersions(theBook(), params.guide).find((one) => one.version === version)?.document
		: currentLibrary().packs.packs.find(({ id }) => id === params.guide);
	if (!guide) error(404, 'There is no such guide.');
	return new Response(`${JSON.stringify(guide, null, '\t')}\n`, {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${guide.id}-${guide.version}.json"`
		}
	});
};
