import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { FactsAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { fieldByName, findField, updateField } from '$lib/server/stores/fields';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asFacts = validator<FactsAction>('actions#/definitions/FactsAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asFacts, (facts) => {
		const field = findField(theBook(), params.field);
		if (!field) error(404, 'There is no such field in this book.');
		const name = facts.name.trim();
		const other = fieldByName(theBook(), field.grower, name);
		if (other && other.id !== field.id) throw new ActionError(`${field.grower} already has a field named ${name}.`);
		updateField(theBook(), field.id, {
			name,
			area_ac: facts.areaAcres ?? null,
			texture: facts.texture ?? null,
			drainage: facts.drainage ?? null,
			slope_percent: facts.slopePercent ?? null,
			irrigated: facts.irrigated ? 1 : 0,
			note: facts.note,
			tenure: facts.tenure ?? null
		});
	});
