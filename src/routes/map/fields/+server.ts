import { listBoundaries } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** Every boundary of the book as GeoJSON, put together as text: thousands of them need not be read first. */
export const GET: RequestHandler = () => {
	const features = listBoundaries(theBook()).map(
		({ id, name, grower, boundary }) =>
			`{"type":"Feature","id":${JSON.stringify(id)},"properties":${JSON.stringify({ name, grower })},"geometry":${boundary}}`
	);
	return new Response(`{"type":"FeatureCollection","features":[${features.join(',')}]}`, {
		headers: { 'content-type': 'application/geo+json' }
	});
};
