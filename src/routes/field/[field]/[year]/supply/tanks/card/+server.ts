import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { FertigationRequest } from '$core/schema-types';
import { planFertigation } from '$core/supply/fertigation/plan-fertigation';
import { deskOf } from '$lib/server/desk';
import { tankCard } from '$lib/server/files/print/tank-card';
import { pdfFile, pdfOf } from '$lib/server/files/print/pdf';
import type { RequestHandler } from './$types';

const asRequest = validator<FertigationRequest>('fertigation');

function requestIn(url: URL): FertigationRequest {
	try {
		return asRequest(JSON.parse(url.searchParams.get('plan') ?? ''));
	} catch (fault) {
		const why = fault instanceof Error ? fault.message : '';
		error(422, `The plan of the card cannot be read (${why}): open it from the page of the stock tanks.`);
	}
}

/** The card of an injection as PDF; `plan` is a request as in schemas/fertigation.schema.json, `day` the day it is for. */
export const GET: RequestHandler = async ({ params, url, locals }) => {
	const desk = deskOf(locals);
	const { field } = desk.fieldYear(params);
	const request = requestIn(url);
	const plan = planFertigation(request, desk.library.products);
	const head = {
		field: field.name,
		grower: field.grower,
		day: url.searchParams.get('day') || desk.today,
		units: field.units,
		preparedBy: desk.settings.preparedBy,
		cautions: desk.library.cautions
	};
	return pdfFile('stock-tanks.pdf', await pdfOf(tankCard(request, plan, head)));
};
