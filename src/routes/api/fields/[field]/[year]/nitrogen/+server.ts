import { validator } from '$core/check/validator';
import type { NitrogenTerms } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { goalOf } from '$lib/server/http/params';
import { setNitrogenTerms } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asTerms = validator<NitrogenTerms>('advise-request#/definitions/NitrogenTerms');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asTerms, (terms) => setNitrogenTerms(theBook(), goalOf(params), terms));
