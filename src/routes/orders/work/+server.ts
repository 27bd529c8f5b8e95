import { error } from '@sveltejs/kit';
import { pdfFile, pdfOf } from '$lib/server/files/print/pdf';
import { sheetsPdf } from '$lib/server/files/print/sheet-pdf';
import { workOrderDocument } from '$lib/server/files/print/work-order-document';
import { sheetOf } from '$lib/server/http/sheet-param';
import type { RequestHandler } from './$types';

const MOST_SHEETS = 500;

/** Work orders, or with `what=sheets` the sheets, of several issued sheets in one file: `?sheet=<id>&sheet=<id>`. */
export const GET: RequestHandler = async ({ url }) => {
	const ids = url.searchParams.getAll('sheet');
	if (ids.length > MOST_SHEETS) error(400, `${ids.length} sheets are too many for one file; at most ${MOST_SHEETS}.`);
	if (ids.length === 0) error(400, 'Name the sheets: ?sheet=… for each.');
	const sheets = ids.map((sheet) => sheetOf({ sheet }));
	if (url.searchParams.get('what') === 'sheets') return pdfFile('sheets.pdf', await sheetsPdf(sheets));
	return pdfFile('work-orders.pdf', await pdfOf(workOrderDocument(sheets)));
};
