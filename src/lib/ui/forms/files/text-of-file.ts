import { decodedText } from '$core/check/decoded-text';

/** The text of a file; a note where it was not read the usual way. */
interface FileText {
	text: string;
	note: string;
}

/** Where no schema says how long a text may be. */
const USUAL_LETTERS = 500_000;
/** Whatever its letters are written with, none takes more bytes. */
const BYTES_OF_LETTER = 4;

/**
 * The text of a file that the adviser chose, whatever program wrote it.
 * @param letters so many are taken at once
 * @returns a sentence where it is empty, too large or no text
 */
export async function textOfFile(
	file: File,
	{ letters = USUAL_LETTERS }: { letters?: number } = {}
): Promise<FileText | string> {
	const tooLarge = `${file.name} is over ${letters / 1000} kB of text, more than is taken at once. Split it.`;
	if (file.size > letters * BYTES_OF_LETTER) return tooLarge;
	const decoded = decodedText(new Uint8Array(await file.arrayBuffer()));
	if (!decoded) return `${file.name} is no text file. Save it as CSV or JSON text first.`;
	if (decoded.text.trim() === '') return `${file.name} is empty.`;
	if (decoded.text.length > letters) return tooLarge;
	return { text: decoded.text, note: decoded.note ? ` ${decoded.note}` : '' };
}
