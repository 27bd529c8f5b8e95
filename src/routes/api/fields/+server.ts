import { json } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { NewFieldAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { addField, findFields } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asNewField = validator<NewFieldAction>('actions#/definitions/NewFieldAction');
const MOST_FOUND = 12;

/** Fields whose name or grower holds the words, for the field finder. */
export const GET: RequestHandler = ({ url }) =>
	json(findFields(theBook(), url.searchParams.get('find') ?? '', MOST_FOUND));

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asNewField, ({ name, grower, areaAcres }) => ({
		id: addField(theBook(), { name: name.trim(), grower: grower.trim(), areaAcres })
	}));
