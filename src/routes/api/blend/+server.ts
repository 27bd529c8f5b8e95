import { validator } from '$core/check/validator';
import { solveBlend } from '$core/supply/blend/solve-blend';
import { loadSolver } from '$core/supply/blend/solver';
import type { BlendRequest } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import type { RequestHandler } from './$types';

const asBlendRequest = validator<BlendRequest>('blend-request');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asBlendRequest, async (body) => solveBlend(body, await loadSolver()));
