import { validator } from '$core/check/validator';
import { checkGoal } from '$core/rates/check-goal';
import type { NextCropAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { goalOf } from '$lib/server/http/params';
import { setNextCrop } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asNextCrop = validator<NextCropAction>('actions#/definitions/NextCropAction');

/** The crop of the year after: the outlook takes the two in turn, and one pass can feed both. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asNextCrop, ({ crop, yieldGoal }) => {
		const next = currentLibrary().crops.find(({ id }) => id === crop);
		if (next && yieldGoal !== undefined) checkGoal(next, yieldGoal, '/yieldGoal');
		setNextCrop(theBook(), goalOf(params), { next_crop: crop ?? null, next_yield_goal: yieldGoal ?? null });
	});
