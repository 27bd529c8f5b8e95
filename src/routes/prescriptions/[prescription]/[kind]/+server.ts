import { error } from '@sveltejs/kit';
import { boundaryOf } from '$lib/server/field/zones/boundary-of';
import { asGeoJson } from '$lib/server/files/prescription-file/as-geojson';
import { asShapefile } from '$lib/server/files/prescription-file/as-shapefile';
import { asTable } from '$lib/server/files/prescription-file/as-table';
import { asTaskData } from '$lib/server/files/prescription-file/as-task-data';
import { prescriptionOf } from '$lib/server/http/prescription-param';
import { findField } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** A prescription as a file: geojson, shapefile, task-data or csv. */
export const GET: RequestHandler = async ({ params }) => {
	const { content, fieldId } = prescriptionOf(params);
	const name = `${content.field} ${content.product.name} ${content.year}`
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '');
	const file = (ending: string, type: string, body: string | Uint8Array<ArrayBuffer>) =>
		new Response(body, {
			headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}${ending}"` }
		});
	if (params.kind === 'geojson') return file('.geojson', 'application/geo+json', JSON.stringify(asGeoJson(content)));
	if (params.kind === 'shapefile') return file('-shapefile.zip', 'application/zip', await asShapefile(content));
	if (params.kind === 'csv') return file('.csv', 'text/csv; charset=utf-8', asTable(content));
	if (params.kind !== 'task-data') error(404, 'A prescription comes as geojson, shapefile, task-data or csv.');
	return file('-task-data.zip', 'application/zip', asTaskData(content, boundaryOf(findField(theBook(), fieldId)!)));
};
