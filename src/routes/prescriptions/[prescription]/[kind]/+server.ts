import { boundaryOf } from '$lib/server/field/zones/boundary-of';
import { prescriptionResponse } from '$lib/server/files/prescription-file/prescription-response';
import { prescriptionOf } from '$lib/server/http/prescription-param';
import { findField } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** A prescription as a file: geojson, shapefile, task-data or csv. */
export const GET: RequestHandler = ({ params }) => {
	const { content, fieldId } = prescriptionOf(params);
	return prescriptionResponse(content, params.kind, boundaryOf(findField(theBook(), fieldId)!));
};
