/** A file as the adviser chose it. */
export interface SentFile {
	name: string;
	bytes: Uint8Array;
}
