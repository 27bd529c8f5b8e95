import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { shapeProblems } from '$core/ground/shapes/check-shape';
import type { Shape } from '$core/ground/shapes/shape';
import type { BoundaryAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { fieldOf } from '$lib/server/http/field-param';
import { setBoundary } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asBoundary = validator<BoundaryAction>('actions#/definitions/BoundaryAction');

/** Sets a field's boundary, and its area by it. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asBoundary, ({ boundary }) => {
		const field = fieldOf(params);
		const problems = boundary ? shapeProblems(boundary as Shape, '/boundary') : [];
		if (problems.length > 0) throw new InputError(problems);
		setBoundary(theBook(), field.id, boundary as Shape | null);
	});
