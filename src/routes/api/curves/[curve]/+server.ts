import { error, json } from '@sveltejs/kit';
import { listCurves, removeCurve } from '$lib/server/stores/response-curves';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

export const DELETE: RequestHandler = ({ params }) => {
	const curve = listCurves(theBook()).find(({ id }) => id === params.curve);
	if (!curve) error(404, 'There is no such curve in the library.');
	removeCurve(theBook(), curve);
	return json({});
};
