import { validator } from '$core/check/validator';
import { fitTrial } from '$core/rates/nitrogen/response/answer-fit';
import type { FitRequest } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import type { RequestHandler } from './$types';

const asFitRequest = validator<FitRequest>('fit-request');

export const POST: RequestHandler = ({ request }) => answerJson(request, asFitRequest, fitTrial);
