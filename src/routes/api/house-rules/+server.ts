import { validator } from '$core/check/validator';
import type { HouseRules } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { setHouseRules } from '$lib/server/stores/house-rules';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asHouseRules = validator<HouseRules>('house-rules');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asHouseRules, (rules) => setHouseRules(theBook(), rules));
