import { messageOf } from '../../../core/check/message-of';

/** Why a book cannot be opened, in sentences for whoever starts the program and whoever opens its page. */
export class BookTrouble extends Error {
	constructor(message: string) {
		super(message);
		this.name = 'BookTrouble';
	}
}

const RESTORE =
	'Stop the program and start it with “--restore newest” to put the newest copy in its place; what is there now is kept beside it.';

/** What a file that must not be touched is, with what to do. */
export const notABook = (file: string, why: string) =>
	new BookTrouble(
		`${file} is no book of Cosecha: ${why}. Nothing was written to it. Set COSECHA_DB to the book, or to a file that is not there yet for a new one. If it was a book: ${RESTORE}`
	);

export const damaged = (file: string, what: string) =>
	new BookTrouble(`The book ${file} is damaged: ${what}. Nothing was written to it. ${RESTORE}`);

export const newerLayout = (file: string, layout: number, known: number) =>
	new BookTrouble(
		`The book ${file} was written by a newer Cosecha (layout ${layout}; this one knows ${known}). Nothing was written to it. Start the newer program; a copy from before it changed the book may stand beside it as ${file}.layout-${known}.`
	);

/** By the code of the database or the system, what happened and what to do. */
const BY_CODE: readonly [RegExp, (file: string) => string][] = [
	[
		/^SQLITE_READONLY|^EROFS/,
		(file) =>
			`The book ${file} cannot be written: the file, its folder or the disk is read-only. Give this user the right to write there, or set COSECHA_DB to another place.`
	],
	[
		/^SQLITE_FULL|^ENOSPC|^EDQUOT/,
		(file) => `The disk of the book ${file} is full. Nothing is lost that was saved; make room and reload the page.`
	],
	[
		/^SQLITE_CANTOPEN|^EACCES|^EPERM|^EISDIR|^ENOTDIR/,
		(file) =>
			`The book ${file} cannot be opened: this user may not read and write it, or it is a folder. Set COSECHA_DB to a file in a folder of your own.`
	],
	[
		/^SQLITE_BUSY|^SQLITE_LOCKED/,
		(file) =>
			`The book ${file} is in use by another program, which does not let go of it. Close that one and reload the page.`
	],
	[/^SQLITE_CORRUPT|^SQLITE_NOTADB|^SQLITE_IOERR/, (file) => damaged(file, 'it cannot be read').message]
];

/** An error of the database or the system while a book is opened, as trouble; what is none of those is thrown on. */
export function troubleOf(file: string, error: unknown): unknown {
	if (error instanceof BookTrouble || !(error instanceof Error)) return error;
	const code = 'code' in error ? String(error.code) : '';
	const said = BY_CODE.find(([pattern]) => pattern.test(code))?.[1];
	return said ? new BookTrouble(`${said(file)} (${messageOf(error)})`) : error;
}
