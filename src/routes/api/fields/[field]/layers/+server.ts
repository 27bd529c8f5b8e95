import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { insideTest } from '$core/ground/shapes/inside';
import type { LayerAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { boundaryOf, fieldOf } from '$lib/server/http/field-param';
import { addLayers } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asLayer = validator<LayerAction>('actions#/definitions/LayerAction');

/** Keeps a layer of points that were set by hand; one of the same name is replaced. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asLayer, ({ layer }) => {
		const field = fieldOf(params);
		const boundary = boundaryOf(field);
		const inField = boundary ? insideTest(boundary) : () => true;
		const at = layer.points.findIndex(([x, y]) => !inField([x, y]));
		if (at >= 0) {
			const [x, y] = layer.points[at]!;
			throw new InputError([{ path: `/layer/points/${at}`, message: `${x}, ${y} lies outside the field’s boundary` }]);
		}
		addLayers(theBook(), field.id, [layer]);
	});
