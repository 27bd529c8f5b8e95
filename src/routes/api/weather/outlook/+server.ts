import { validator } from '$core/check/validator';
import type { OutlookAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { setOutlook } from '$lib/server/stores/stations';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asOutlook = validator<OutlookAction>('actions#/definitions/OutlookAction');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asOutlook, ({ outlook }) => setOutlook(theBook(), outlook));
