import { validator } from '$core/check/validator';
import { answerSeason } from '$core/season/answer-season';
import type { SeasonRequest } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import type { RequestHandler } from './$types';

const asSeasonRequest = validator<SeasonRequest>('season-request');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asSeasonRequest, (body) => answerSeason(body, currentLibrary()));
