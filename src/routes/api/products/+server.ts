import { randomUUID } from 'node:crypto';
import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import type { ProductAction } from '$core/schema-types';
import { checkAnalysis } from '$core/supply/catalogue/check-analysis';
import { answerJson } from '$lib/server/http/answer';
import { theLibrary } from '$lib/server/knowledge';
import { keepOwnProducts, listOwnProducts } from '$lib/server/stores/own-products';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asProduct = validator<ProductAction>('actions#/definitions/ProductAction');

/** Keeps a product of the adviser's own; one of the same name is replaced, a shipped one is not. The id is the book's to give. */
export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asProduct, ({ product }) => {
		if (theLibrary().products.some(({ name }) => name.toLowerCase() === product.name.toLowerCase())) {
			const message = `“${product.name}” is in the shipped catalogue; give yours a name of its own`;
			throw new InputError([{ path: '/product/name', message }]);
		}
		checkAnalysis(product);
		const known = listOwnProducts(theBook()).find(({ name }) => name === product.name);
		const id = known?.id ?? `own-${randomUUID().slice(0, 8)}`;
		keepOwnProducts(theBook(), [{ ...product, id, own: true }], `Put ${product.name} into the catalogue`);
		return { id };
	});
