import { error, json } from '@sveltejs/kit';
import { failureResponse } from '$lib/server/http/answer';
import { fieldOf } from '$lib/server/http/field-param';
import { layerPoints, removeLayer } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** The points of a layer, as they are kept. */
export const GET: RequestHandler = ({ params }) => {
	const points = layerPoints(theBook(), fieldOf(params).id, params.layer);
	if (points === undefined) error(404, 'There is no such layer on this field.');
	return new Response(points, { headers: { 'content-type': 'application/json' } });
};

export const DELETE: RequestHandler = ({ params }) => {
	try {
		removeLayer(theBook(), fieldOf(params).id, params.layer);
		return json({});
	} catch (failure) {
		return failureResponse(failure);
	}
};
