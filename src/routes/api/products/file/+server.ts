import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { readProductCsv } from '$core/supply/catalogue/product-csv';
import type { ProductFileAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { theLibrary } from '$lib/server/knowledge';
import { keepOwnProducts } from '$lib/server/stores/own-products';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asFile = validator<ProductFileAction>('actions#/definitions/ProductFileAction');

/** Takes own products in from a CSV file: all of them, or none. Shipped ones in it are passed over where nothing differs. */
export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asFile, ({ csv }) => {
		const shipped = new Set(theLibrary().products.map(({ id }) => id));
		const products = readProductCsv(csv);
		const own = products.filter(({ id }) => !shipped.has(id));
		if (own.length === 0) {
			const message = 'holds only products of the shipped catalogue; give your own an id of its own';
			throw new InputError([{ path: 'file', message }]);
		}
		keepOwnProducts(theBook(), own, `Took ${own.length} products into the catalogue`);
		return { taken: own.length, passedOver: products.length - own.length };
	});
