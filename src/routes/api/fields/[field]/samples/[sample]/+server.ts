import { validator } from '$core/check/validator';
import type { EmptyAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { removeSample } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

export const DELETE: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => removeSample(theBook(), params.field, params.sample));
