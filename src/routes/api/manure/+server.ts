import { randomUUID } from 'node:crypto';
import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { manureProduct } from '$core/supply/manure/manure-product';
import type { ManureAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { keepOwnProducts, listOwnProducts } from '$lib/server/stores/own-products';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asManure = validator<ManureAction>('actions#/definitions/ManureAction');

/** Puts a manure with its analysis into the catalogue; one of the same name is replaced. */
export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asManure, ({ name, kind, handling, ...analysis }) => {
		const { manures } = currentLibrary();
		const found = one(manures.kinds, kind, '/kind');
		const how = one(manures.handling, handling, '/handling');
		if ((analysis.ammoniumN ?? 0) > analysis.totalN) {
			const message = `must not be above the total ${analysis.totalN}; got ${analysis.ammoniumN}`;
			throw new InputError([{ path: '/ammoniumN', message }]);
		}
		const known = listOwnProducts(theBook()).find((product) => product.manure && product.name === name);
		const id = known?.id ?? `manure-${randomUUID().slice(0, 8)}`;
		const product = manureProduct(id, name, { ...analysis, ammoniumN: analysis.ammoniumN }, found, how);
		keepOwnProducts(theBook(), [product], `Put ${name} into the catalogue`);
		return { id };
	});

function one<T extends { id: string }>(list: readonly T[], id: string, path: string): T {
	const found = list.find((entry) => entry.id === id);
	if (found) return found;
	throw new InputError([{ path, message: `"${id}" is not known; known: ${list.map((entry) => entry.id).join(', ')}` }]);
}
