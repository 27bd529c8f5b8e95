import { csvText } from '$core/check/csv-text';
import { orderOf } from '$core/supply/order';
import { plainNumber } from '$core/units/display';
import { currentLibrary } from '$lib/server/current-library';
import { yearOf } from '$lib/server/field/year-of';
import { planningYear } from '$lib/server/field/planning-year';
import { readDealers } from '$lib/server/stores/dealers';
import { listOpenPasses } from '$lib/server/stores/order-passes';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

/** The order of a year as CSV: a line for each field of each product, then its sum. */
export const GET: RequestHandler = ({ url }) => {
	const asked = url.searchParams.get('year');
	const year = asked ? yearOf(asked) : planningYear(today());
	const lines = orderOf(listOpenPasses(theBook(), year, currentLibrary().products), currentLibrary().products);
	const dealers = readDealers(theBook());
	const rows = lines.flatMap(({ product, parts, pounds, toBuy }) => [
		...parts.map(({ grower, field, pounds: own, firstDate }) => [
			dealers[product.id] ?? '',
			product.name,
			grower,
			field,
			plainNumber(own, 'lb'),
			firstDate,
			''
		]),
		[dealers[product.id] ?? '', product.name, 'all', '', plainNumber(pounds, 'lb'), '', `${toBuy.amount} ${toBuy.unit}`]
	]);
	const head = ['dealer', 'product', 'grower', 'field', 'lb', 'first needed', 'to buy'];
	return new Response(csvText([head, ...rows]), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="order-${year}.csv"`
		}
	});
};
