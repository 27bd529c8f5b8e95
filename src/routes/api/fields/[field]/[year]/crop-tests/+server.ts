import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import type { CropTestAction, CropTestIdAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { cropTestOf, goalOf } from '$lib/server/http/params';
import { bookCropTest, removeCropTest } from '$lib/server/stores/crop-tests';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asTest = validator<CropTestAction>('actions#/definitions/CropTestAction');
const asId = validator<CropTestIdAction>('actions#/definitions/CropTestIdAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asTest, ({ kind, found }) => {
		if (found.date === undefined)
			throw new InputError([{ path: '/found/date', message: 'must be the day of the test' }]);
		bookCropTest(theBook(), goalOf(params), kind, found);
	});

export const DELETE: RequestHandler = ({ request, params }) =>
	answerJson(request, asId, ({ test }) => removeCropTest(theBook(), goalOf(params), cropTestOf(params, test)));
