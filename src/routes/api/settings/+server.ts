import { validator } from '$core/check/validator';
import type { SettingsAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { setLoads, setPreparedBy, setUnits } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asSettings = validator<SettingsAction>('actions#/definitions/SettingsAction');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asSettings, ({ units, preparedBy, loads }) => {
		if (units) setUnits(theBook(), units);
		if (preparedBy !== undefined) setPreparedBy(theBook(), preparedBy.trim());
		if (loads) setLoads(theBook(), loads);
	});
