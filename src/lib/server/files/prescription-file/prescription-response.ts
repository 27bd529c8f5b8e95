import { error } from '@sveltejs/kit';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { Prescription } from '../../../../core/schema-types';
import { download } from '../download';
import { asGeoJson } from './as-geojson';
import { asShapefile } from './as-shapefile';
import { asTable } from './as-table';
import { asTaskData } from './as-task-data';

/**
 * A prescription as a file: geojson, shapefile, task-data or csv.
 * @throws 404 for another kind
 */
export async function prescriptionResponse(
	content: Prescription,
	kind: string,
	boundary: Shape | undefined
): Promise<Response> {
	const name = `${content.field} ${content.product.name} ${content.year}`;
	if (kind === 'geojson') return download(name, '.geojson', JSON.stringify(asGeoJson(content)));
	if (kind === 'shapefile') return download(name, '-shapefile.zip', await asShapefile(content));
	if (kind === 'csv') return download(name, '.csv', asTable(content));
	if (kind !== 'task-data') error(404, 'A prescription comes as geojson, shapefile, task-data or csv.');
	return download(name, '-task-data.zip', asTaskData(content, boundary));
}
