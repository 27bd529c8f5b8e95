/** A text file as it was meant, and in words how it was read where that is not the usual way. */
export interface DecodedText {
	text: string;
	note: string | undefined;
}

/** So many bytes show whether a file is text in two bytes each: every second one of Latin letters is 0. */
const LOOKED_AT = 4096;
const TWO_BYTE_SHARE = 0.3;

/**
 * The text of a file by its byte-order mark, or by what its bytes can be: UTF-16 of either order, UTF-8, else Windows-1252 (of which Latin-1
 * is a part), as older lab programs and spreadsheets write it.
 * @returns undefined for what is no text
 */
export function decodedText(bytes: Uint8Array): DecodedText | undefined {
	const twoByte = twoByteOrder(bytes);
	if (twoByte) return { text: decoded(bytes, twoByte), note: 'Read as UTF-16.' };
	if (bytes.subarray(0, LOOKED_AT).includes(0)) return undefined;
	try {
		return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), note: undefined };
	} catch {
		return {
			text: decoded(bytes, 'windows-1252'),
			note: 'Read as Windows-1252 (Latin-1): look at letters with accents.'
		};
	}
}

function decoded(bytes: Uint8Array, label: string): string {
	return new TextDecoder(label).decode(bytes);
}

function twoByteOrder(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | undefined {
	if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
	if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
	const head = bytes.subarray(0, LOOKED_AT);
	const zeros = [0, 0];
	head.forEach((byte, at) => {
		if (byte === 0) zeros[at % 2]!++;
	});
	const many = (count: number) => count > TWO_BYTE_SHARE * head.length;
	if (many(zeros[1]!) && zeros[0] === 0) return 'utf-16le';
	return many(zeros[0]!) && zeros[1] === 0 ? 'utf-16be' : undefined;
}
