import { csvText } from '$core/check/csv-text';
import { sheetTable } from '$core/sheet/sheet-table';
import { sheetFile, sheetOf } from '$lib/server/http/sheet-param';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) => {
	const sheet = sheetOf(params);
	const csv = csvText(sheetTable(sheet.content));
	return sheetFile(sheet, 'csv', 'text/csv; charset=utf-8', csv);
};
