import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { EmptyAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { commitImport } from '$lib/server/files/lab-file/commit-import';
import { findImport } from '$lib/server/stores/lab-imports';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => {
		const found = findImport(theBook(), params.import);
		if (!found) error(404, 'There is no such import.');
		commitImport(theBook(), found);
	});
