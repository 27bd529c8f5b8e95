import { csvText } from '$core/check/csv-text';
import { priceRows } from '$core/supply/price-csv';
import { unitInSystem } from '$core/units/rate-units';
import { deskOf } from '$lib/server/desk';
import { priceItems } from '$lib/server/pages/whole-book/prices-page';
import { listPrices } from '$lib/server/stores/prices';
import type { RequestHandler } from './$types';

/** Every price of the book as CSV. */
export const GET: RequestHandler = ({ locals }) => {
	const desk = deskOf(locals);
	// A file that goes to other programs counts in US units, as the prices are kept.
	const words = new Map(
		priceItems(desk.library).map(({ item, name, unit }) => [item, { name, unit: unitInSystem(unit, 'us') }])
	);
	const rows = priceRows(listPrices(desk.book), (item) => words.get(item) ?? { name: item, unit: '' });
	return new Response(csvText(rows), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="prices.csv"'
		}
	});
};
