import { error } from '@sveltejs/kit';
import { findSheet, type Sheet } from '../stores/sheets';
import { theBook } from '../the-book';

/** The issued sheet of an address. */
export function sheetOf({ sheet }: { sheet: string }): Sheet {
	return findSheet(theBook(), sheet) ?? error(404, 'There is no such sheet in this book.');
}

/** "sheet-12-kingfisher-bend-2027.pdf" */
export function sheetFileName({ number, content }: Sheet, ending: string): string {
	const name = content.field.name
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '');
	return `sheet-${number}-${name || 'field'}-${content.year}.${ending}`;
}

/** A file of a sheet, to be kept by the browser. */
export function sheetFile(
	sheet: Sheet,
	ending: string,
	type: string,
	body: string | Uint8Array<ArrayBuffer>
): Response {
	return new Response(body, {
		headers: {
			'content-type': type,
			'content-disposition': `attachment; filename="${sheetFileName(sheet, ending)}"`
		}
	});
}
