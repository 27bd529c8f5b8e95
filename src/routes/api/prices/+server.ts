import { NUTRIENTS } from '$core/season/plan/pass/pass-nutrients';
import { TRIP_KINDS } from '$core/season/plan/pass/trip-cost';
import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import type { PricesAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { setPrices } from '$lib/server/stores/prices';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

const asPrices = validator<PricesAction>('actions#/definitions/PricesAction');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asPrices, ({ prices }) => {
		for (const item of Object.keys(prices)) checkItem(item);
		setPrices(theBook(), today(), new Map(Object.entries(prices)));
	});

function checkItem(item: string): void {
	const [kind, name = ''] = item.split(':');
	const { crops, products, additives } = currentLibrary();
	const known = {
		grain: crops.map(({ id }) => id as string),
		product: products.map(({ id }) => id),
		nutrient: NUTRIENTS as readonly string[],
		additive: additives.map(({ id }) => id as string),
		trip: TRIP_KINDS.map(({ id }) => id as string)
	}[kind as 'grain' | 'product' | 'nutrient' | 'additive' | 'trip'];
	if (!known.includes(name)) {
		throw new InputError([{ path: `/prices/${item}`, message: `is no ${kind}; known: ${known.join(', ')}` }]);
	}
}
