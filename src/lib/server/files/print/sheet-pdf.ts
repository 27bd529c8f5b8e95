import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Sheet } from '../../stores/sheets';
import { pdfOf } from './pdf';
import { sheetDocument } from './sheet-document';

/** An issued sheet as PDF. The same sheet always gives the same page. */
export function sheetPdf(sheet: Sheet): Promise<Uint8Array<ArrayBuffer>> {
	return pdfOf(sheetDocument(sheet));
}

/** Many issued sheets in one file, each from a new page on. */
export function sheetsPdf(sheets: readonly Sheet[]): Promise<Uint8Array<ArrayBuffer>> {
	const [first, ...rest] = sheets.map(sheetDocument) as [TDocumentDefinitions, ...TDocumentDefinitions[]];
	const content = [first.content, ...rest.flatMap((one) => [{ text: '', pageBreak: 'before' as const }, one.content])];
	const footer = 'Void if the data change. The program advises; a licensed adviser answers.';
	return pdfOf({
		...first,
		info: { title: 'Sheets' },
		footer: (page, pages) => ({
			margin: [44, 8, 44, 0],
			fontSize: 8,
			columns: [
				{ width: '*', text: footer },
				{ width: 'auto', text: `${page} of ${pages}`, alignment: 'right' }
			]
		}),
		content: content.flat()
	});
}
