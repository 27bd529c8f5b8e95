import { validator } from '$core/check/validator';
import type { CurveAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { checkCurve } from '$core/rates/nitrogen/check-curve';
import { addCurve } from '$lib/server/stores/response-curves';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asCurve = validator<CurveAction>('actions#/definitions/CurveAction');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asCurve, ({ curve }) => addCurve(theBook(), checkCurve(curve, '/curve')));
