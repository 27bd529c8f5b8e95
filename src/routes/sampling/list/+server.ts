import { csvText } from '$core/check/csv-text';
import { layerText } from '$core/units/length-text';
import { deskOf } from '$lib/server/desk';
import { download } from '$lib/server/files/download';
import { bagsAsked } from '$lib/server/http/bags-asked';
import type { RequestHandler } from './$types';

/** The list that goes to the lab with the bags, as CSV. */
export const GET: RequestHandler = ({ locals, url }) => {
	const desk = deskOf(locals);
	const rows = bagsAsked(desk, url.searchParams).map(({ code, grower, field, bag }) => ({
		sample: code,
		grower,
		field,
		zone: bag.zone ?? '',
		point: bag.point?.number ?? '',
		longitude: bag.point?.at[0] ?? '',
		latitude: bag.point?.at[1] ?? '',
		depth: layerText(bag.depth, desk.settings.units),
		pulled: bag.pulledOn ?? '',
		cores: bag.cores
	}));
	return download('bags for the lab', '.csv', csvText(rows));
};
