import { validator } from '$core/check/validator';
import { advise } from '$core/rates/advise';
import type { AdviseRequest } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

const asAdviseRequest = validator<AdviseRequest>('advise-request');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asAdviseRequest, (body) => advise(body, currentLibrary(), today()));
