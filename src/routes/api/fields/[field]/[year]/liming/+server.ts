import { validator } from '$core/check/validator';
import type { LimingAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { currentLibrary } from '$lib/server/current-library';
import { goalOf } from '$lib/server/http/params';
import { setLiming } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asLiming = validator<LimingAction>('actions#/definitions/LimingAction');

/** What the field is limed with, how deep and how; what is left out is as usual. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asLiming, ({ product, depthIn, placement }) => {
		const known = currentLibrary().products.filter(({ lime }) => lime);
		if (product !== undefined && !known.some(({ id }) => id === product)) {
			throw new ActionError(`“${product}” is no lime; there are ${known.map(({ id }) => id).join(', ')}.`);
		}
		setLiming(theBook(), goalOf(params), {
			liming_product: product ?? null,
			lime_depth_in: depthIn ?? null,
			lime_placement: placement ?? null
		});
	});
