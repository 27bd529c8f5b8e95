import { createRequire } from 'node:module';
import path from 'node:path';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

const require = createRequire(path.join(process.cwd(), 'package.json'));
const FONTS = '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin';
const font = (weight: number, style = 'normal') => require.resolve(`${FONTS}-${weight}-${style}.woff`);

let ready = false;

/** A document as PDF, with text that can be selected. The same document always gives the same pages. */
export async function pdfOf(document: TDocumentDefinitions): Promise<Uint8Array<ArrayBuffer>> {
	if (!ready) {
		pdfmake.setFonts({
			Hyperlegible: {
				normal: font(400),
				bold: font(700),
				italics: font(400, 'italic'),
				bolditalics: font(700, 'italic')
			}
		});
		// The document holds only our own text; nothing may be fetched for it.
		pdfmake.setUrlAccessPolicy(() => false);
		pdfmake.setLocalAccessPolicy((file) => file.includes(path.join('@fontsource', 'atkinson-hyperlegible-next')));
		ready = true;
	}
	return new Uint8Array(await pdfmake.createPdf(document).getBuffer());
}

/** A file for the browser to keep. */
export function pdfFile(name: string, body: Uint8Array<ArrayBuffer>): Response {
	return new Response(body, {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `attachment; filename="${name}"` }
	});
}
