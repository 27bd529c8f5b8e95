import { validator } from '$core/check/validator';
import { checkGoal } from '$core/rates/check-goal';
import type { HarvestAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { goalOf } from '$lib/server/http/params';
import { bookHarvest } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asHarvest = validator<HarvestAction>('actions#/definitions/HarvestAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asHarvest, ({ harvestedYield }) => {
		const fieldYear = goalOf(params);
		const grown = currentLibrary().crops.find(({ id }) => id === fieldYear.crop);
		// Hail leaves nothing: 0 is a harvest.
		if (grown && harvestedYield) checkGoal(grown, harvestedYield, '/harvestedYield');
		bookHarvest(theBook(), fieldYear, harvestedYield);
	});
