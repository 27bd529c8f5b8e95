import type { Database } from 'better-sqlite3';
import { openBook } from './book/open-book';
import { seedDemo } from './book/seed-demo';

let book: Database | undefined;

/** The book of this process: the file in COSECHA_DB, else data/cosecha.db where the program was started. */
export function theBook(): Database {
	if (!book) {
		book = openBook(process.env.COSECHA_DB ?? 'data/cosecha.db');
		if (process.env.COSECHA_DEMO) seedDemo(book, process.env.COSECHA_DEMO);
	}
	return book;
}
