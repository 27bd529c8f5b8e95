import { unzipSync } from 'fflate';
import { ActionError } from '../../book/action-error';

/** Unpacked, a field's map is smaller than this; a file that claims more is refused before it is unpacked. */
const MOST_UNPACKED_BYTES = 60 * 1024 * 1024;
const MOST_FILES = 200;
/** What packing adds to a file that cannot be made smaller: five bytes for each 64 kB, and some. */
const PACKING_BYTES = 64 * 1024;

/** The files of a zip by name. Each is unpacked into the space that the zip gives for it and no more. */
export function openZip(name: string, bytes: Uint8Array): Record<string, Uint8Array> {
	let unpacked = 0;
	let files = 0;
	try {
		return unzipSync(bytes, {
			filter: ({ size, originalSize }) => {
				// Nothing is packed into more bytes than it has: who says so hides how much there is.
				if (size > originalSize + PACKING_BYTES) throw new Error('a size that cannot be');
				unpacked += originalSize;
				files++;
				if (unpacked > MOST_UNPACKED_BYTES || files > MOST_FILES) {
					throw new ActionError(
						`${name} unpacks to more than ${MOST_UNPACKED_BYTES / 1024 / 1024} MB or ${MOST_FILES} files; no field's map does. Is it the right one?`
					);
				}
				return true;
			}
		});
	} catch (error) {
		if (error instanceof ActionError) throw error;
		throw new ActionError(`${name} is a broken zip: pack it again.`);
	}
}
