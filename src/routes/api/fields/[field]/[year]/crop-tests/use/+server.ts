import { validator } from '$core/check/validator';
import type { CropTestIdAction } from '$core/schema-types';
import { afterTest } from '$lib/server/field/after-test';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { adviceOf, cropTestOf, fieldYearOf } from '$lib/server/http/params';
import { changeSeason } from '$lib/server/stores/field-years';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

const asId = validator<CropTestIdAction>('actions#/definitions/CropTestIdAction');

/** Takes a test in the standing crop into the season: its rate, and the nitrogen passes that are left. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asId, ({ test }) => {
		const db = theBook();
		const advice = adviceOf(params);
		const found = cropTestOf(params, test);
		const { units } = readSettings(db);
		const after = afterTest(db, currentLibrary(), fieldYearOf(params), advice, found, today(), units);
		const { removed, added, notes } = after.change;
		changeSeason(db, advice.goal, after.why, after.choices, removed, added);
		return { notes };
	});
