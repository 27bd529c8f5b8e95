import { validator } from '$core/check/validator';
import type { ZoneFactsAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { seasonOf } from '$lib/server/field/zone-season';
import { fieldOf } from '$lib/server/http/field-param';
import { setZoneFacts } from '$lib/server/stores/ground-maps';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asFacts = validator<ZoneFactsAction>('actions#/definitions/ZoneFactsAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asFacts, ({ zone, facts, year }) => {
		const { id } = fieldOf(params);
		setZoneFacts(theBook(), id, zone, facts, seasonOf(id, year, [facts]));
	});
