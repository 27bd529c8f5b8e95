import { error } from '@sveltejs/kit';
import { validator } from '$core/check/validator';
import type { EmptyAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { listOwnProducts, removeOwnProduct } from '$lib/server/stores/own-products';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asEmpty = validator<EmptyAction>('actions#/definitions/EmptyAction');

export const DELETE: RequestHandler = ({ request, params }) =>
	answerJson(request, asEmpty, () => {
		const product = listOwnProducts(theBook()).find(({ id }) => id === params.product);
		if (!product) error(404, 'There is no such product of your own.');
		removeOwnProduct(theBook(), product);
	});
