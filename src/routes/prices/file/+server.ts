import { csvText } from '$core/check/csv-text';
import { priceRows } from '$core/supply/price-csv';
import { deskOf } from '$lib/server/desk';
import { priceItems } from '$lib/server/pages/whole-book/prices-page';
import { listPrices } from '$lib/server/stores/prices';
import type { RequestHandler } from './$types';

/** Every price of the book as CSV. */
export const GET: RequestHandler = ({ locals }) => {
	const desk = deskOf(locals);
	const words = new Map(priceItems(desk.library).map((one) => [one.item, one]));
	const rows = priceRows(listPrices(desk.book), (item) => words.get(item) ?? { name: item, unit: '' });
	return new Response(csvText(rows), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="prices.csv"'
		}
	});
};
