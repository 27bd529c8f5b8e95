import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { SetbacksAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { findField } from '$lib/server/stores/fields';
import { setSetbacks } from '$lib/server/stores/house-rules';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asSetbacks = validator<SetbacksAction>('actions#/definitions/SetbacksAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asSetbacks, ({ setbacks }) => {
		if (!findField(theBook(), params.field)) error(404, 'There is no such field in this book.');
		setSetbacks(theBook(), params.field, setbacks);
	});
