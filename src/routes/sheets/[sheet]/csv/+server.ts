import Papa from 'papaparse';
import { sheetTable } from '$core/sheet/sheet-table';
import { sheetFile, sheetOf } from '$lib/server/http/sheet-param';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) => {
	const sheet = sheetOf(params);
	// A leading "=" or "@" in a name would be run as a formula by a spreadsheet.
	const csv = Papa.unparse(sheetTable(sheet.content), { escapeFormulae: true });
	return sheetFile(sheet, 'csv', 'text/csv; charset=utf-8', `${csv}\r\n`);
};
