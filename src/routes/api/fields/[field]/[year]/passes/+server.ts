import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import type { PassesAction } from '$core/schema-types';
import { dateFault } from '$core/season/plan/season-span';
import { plantingDateOf } from '$lib/server/field/field-request';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { goalOf } from '$lib/server/http/params';
import { changePasses } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asPasses = validator<PassesAction>('actions#/definitions/PassesAction');

export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asPasses, ({ label, removed, added }) => {
		const library = currentLibrary();
		const { products } = library;
		const goal = goalOf(params);
		const plantingDate = plantingDateOf(goal, library);
		const problems = added.flatMap((pass, index) => {
			const { product, unit } = pass;
			const fault = dateFault(pass, plantingDate);
			if (fault) return [{ path: `/added/${index}/date`, message: fault }];
			const card = products.find(({ id }) => id === product);
			if (!card) return [{ path: `/added/${index}/product`, message: `"${product}" is not in the catalogue` }];
			if (unit !== 'gal/ac' || card.densityLbPerGal !== undefined) return [];
			return [{ path: `/added/${index}/unit`, message: `${card.name} has no density; give its rate in lb/ac` }];
		});
		if (problems.length > 0) throw new InputError(problems);
		changePasses(theBook(), goal, label, removed, added);
	});
