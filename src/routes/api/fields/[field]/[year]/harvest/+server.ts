import { validator } from '$core/check/validator';
import type { HarvestAction } from '$core/schema-types';
import { answerJson } from '$lib/server/answer';
import { goalOf } from '$lib/server/params';
import { bookHarvest } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asHarvest = validator<HarvestAction>('actions#/definitions/HarvestAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asHarvest, ({ harvestedYield }) => bookHarvest(theBook(), goalOf(params), harvestedYield));
