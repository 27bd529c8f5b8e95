import { deskOf } from '$lib/server/desk';
import { download } from '$lib/server/files/download';
import { bagsAsked } from '$lib/server/http/bags-asked';
import type { RequestHandler } from './$types';

/** The points of chosen bags, for a phone or a GPS, as GeoJSON. */
export const GET: RequestHandler = ({ locals, url }) => {
	const features = bagsAsked(deskOf(locals), url.searchParams).flatMap(({ code, field, grower, bag }) =>
		bag.point
			? [
					{
						type: 'Feature',
						geometry: { type: 'Point', coordinates: bag.point.at },
						properties: { name: `${field} ${bag.point.number}`, code, field, grower, point: bag.point.number }
					}
				]
			: []
	);
	return download('sample points', '.geojson', JSON.stringify({ type: 'FeatureCollection', features }));
};
