import { ActionError } from '../../book/action-error';

/** A tree of XML takes many times its text in memory; a field's map is far smaller than this. */
const MOST_XML_BYTES = 8 * 1024 * 1024;

/** The text of an XML file. */
export function xmlText(name: string, bytes: Uint8Array): string {
	if (bytes.length > MOST_XML_BYTES) {
		throw new ActionError(
			`${name} holds more than ${MOST_XML_BYTES / 1024 / 1024} MB of XML. Cut out the field first.`
		);
	}
	return new TextDecoder('utf-8').decode(bytes).replace(/^\uFEFF/, '');
}
