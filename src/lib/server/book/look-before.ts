import { closeSync, openSync, readSync, statSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { damaged, newerLayout, notABook } from './book-trouble';

/** How every SQLite file begins. */
const SQLITE = 'SQLite format 3\0';
/** "Cose": by this number a book says whose it is. */
export const APPLICATION_ID = 0x43_6f_73_65;
/** A file without a byte is another start that is just making it, or was emptied. */
const BEING_MADE_MS = 60_000;

/**
 * Looks at the bytes of a file that is to be opened as a book; a file that is not there is a new book.
 * @throws BookTrouble where it is none
 */
export function lookAtFile(file: string, now: number): void {
	const found = statSync(file, { throwIfNoEntry: false });
	if (!found) return;
	if (found.isDirectory()) throw notABook(file, 'it is a folder');
	const aside = statSync(`${file}-wal`, { throwIfNoEntry: false });
	if (found.size === 0) {
		if (aside?.size || now - found.mtimeMs < BEING_MADE_MS) return;
		throw notABook(file, 'it is empty (0 bytes)');
	}
	if (firstBytes(file) !== SQLITE) throw notABook(file, 'it does not begin as an SQLite file does');
}

function firstBytes(file: string): string {
	const bytes = Buffer.alloc(SQLITE.length);
	const handle = openSync(file, 'r');
	try {
		readSync(handle, bytes, 0, bytes.length, 0);
	} finally {
		closeSync(handle);
	}
	return bytes.toString('latin1');
}

/**
 * Looks at what is in an open file before anything is written to it: that it is whole, of this program, and not newer than it.
 * @param known the newest layout
 * @throws BookTrouble where it is not
 */
export function lookAtBook(db: Database, known: number): void {
	const found = db.pragma('quick_check(1)', { simple: true });
	if (found !== 'ok') throw damaged(db.name, String(found));
	const owner = db.pragma('application_id', { simple: true }) as number;
	const layout = db.pragma('user_version', { simple: true }) as number;
	const tables = db.prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'").all();
	if (tables.length === 0 && layout === 0 && owner === 0) return;
	const ours = tables.some(({ name }) => name === 'field_year') && layout > 0;
	if (owner !== APPLICATION_ID && (owner !== 0 || !ours)) {
		throw notABook(db.name, 'it is the SQLite file of another program');
	}
	if (layout > known) throw newerLayout(db.name, layout, known);
}
