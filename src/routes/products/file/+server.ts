import Papa from 'papaparse';
import { productRows } from '$core/supply/catalogue/product-csv';
import { currentLibrary } from '$lib/server/current-library';
import type { RequestHandler } from './$types';

/** The catalogue as CSV. */
export const GET: RequestHandler = () => {
	const csv = Papa.unparse(productRows(currentLibrary().products), { escapeFormulae: true });
	return new Response(`${csv}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="products.csv"'
		}
	});
};
