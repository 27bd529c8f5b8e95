import { sheetPdf } from '$lib/server/files/print/sheet-pdf';
import { sheetFile, sheetOf } from '$lib/server/http/sheet-param';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
	const sheet = sheetOf(params);
	return sheetFile(sheet, 'pdf', 'application/pdf', await sheetPdf(sheet));
};
