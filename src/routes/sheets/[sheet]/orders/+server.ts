import { pdfFile, pdfOf } from '$lib/server/files/print/pdf';
import { workOrderDocument } from '$lib/server/files/print/work-order-document';
import { sheetFileName, sheetOf } from '$lib/server/http/sheet-param';
import type { RequestHandler } from './$types';

/** The work orders of an issued sheet. */
export const GET: RequestHandler = async ({ params }) => {
	const sheet = sheetOf(params);
	return pdfFile(sheetFileName(sheet, 'pdf').replace('sheet-', 'orders-'), await pdfOf(workOrderDocument([sheet])));
};
