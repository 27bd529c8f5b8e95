import type { Database } from 'better-sqlite3';
import { keepBackups } from './book/copies/keep-backups';
import { restoreAtStart } from './book/copies/restore-at-start';
import { assertWhole, putBack, replaceFile } from './book/copies/replace-file';
import { openBook } from './book/open-book';
import { seedDemo } from './book/seed-demo';

let book: Database | undefined;

/** The book of this process: the file in COSECHA_DB, else data/cosecha.db where the program was started. */
export function theBook(): Database {
	if (!book) {
		const file = process.env.COSECHA_DB ?? 'data/cosecha.db';
		if (process.env.COSECHA_RESTORE) {
			console.log(restoreAtStart(file, process.env.COSECHA_RESTORE, new Date()));
			delete process.env.COSECHA_RESTORE;
		}
		book = openBook(file);
		if (process.env.COSECHA_DEMO) seedDemo(book, process.env.COSECHA_DEMO);
		keepBackups(() => book);
	}
	return book;
}

/**
 * Puts a whole copy in the place of an open book, whatever state its file is in; what was there is kept beside it.
 * @returns where the book of before is now
 * @throws ActionError where the copy is not whole; the book is as it was then
 */
export function replaceBook(db: Database, copy: string, now: Date): string | undefined {
	assertWhole(copy);
	const file = db.name;
	const ofProcess = db === book;
	// Closed first: a file that is open is written to once more when it closes.
	db.close();
	if (ofProcess) book = undefined;
	const aside = replaceFile(file, copy, now);
	try {
		openBook(file).close();
	} catch (error) {
		if (aside !== undefined) putBack(file, aside);
		throw error;
	}
	return aside;
}
