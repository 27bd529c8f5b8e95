import { json } from '@sveltejs/kit';
import { failureResponse } from '$lib/server/answer';
import { fieldOf } from '$lib/server/field-param';
import { removeLayer } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

export const DELETE: RequestHandler = ({ params }) => {
	try {
		removeLayer(theBook(), fieldOf(params).id, params.layer);
		return json({});
	} catch (error) {
		return failureResponse(error);
	}
};
