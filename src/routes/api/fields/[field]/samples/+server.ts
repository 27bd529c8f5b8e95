import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import { soilLayers } from '$core/reading/soil/soil-layers';
import type { SampleAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { addSample, findField } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asSample = validator<SampleAction>('actions#/definitions/SampleAction');

/** A sample typed from the lab's paper. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asSample, (sample) => {
		if (!findField(theBook(), params.field)) error(404, 'There is no such field in this book.');
		soilLayers(sample.report);
		addSample(theBook(), params.field, sample);
	});
