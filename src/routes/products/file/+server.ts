import { csvText } from '$core/check/csv-text';
import { productRows } from '$core/supply/catalogue/product-csv';
import { currentLibrary } from '$lib/server/current-library';
import type { RequestHandler } from './$types';

/** The catalogue as CSV. */
export const GET: RequestHandler = () => {
	const csv = csvText(productRows(currentLibrary().products));
	return new Response(csv, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="products.csv"'
		}
	});
};
