import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import type { DealerAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { setDealer } from '$lib/server/stores/dealers';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asDealer = validator<DealerAction>('actions#/definitions/DealerAction');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asDealer, ({ product, dealer }) => {
		const found = currentLibrary().products.find(({ id }) => id === product);
		if (!found) throw new InputError([{ path: '/product', message: `"${product}" is not in the catalogue` }]);
		setDealer(theBook(), found, dealer.trim());
	});
