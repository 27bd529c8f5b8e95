import { closeSync, mkdirSync, openSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { troubleOf } from './book-trouble';
import { APPLICATION_ID, lookAtBook, lookAtFile } from './look-before';
import { migrate, NEWEST_LAYOUT, OWN_ONLY } from './migrate';

/**
 * Opens a book, making it where there is none, and brings it to the newest layout. Nothing is written to a file that is no book, is
 * damaged, or is of a newer program.
 * @param file path of the SQLite file, or ':memory:'
 * @throws BookTrouble in sentences, where it cannot be opened
 */
export function openBook(file: string): Database.Database {
	let db: Database.Database | undefined;
	try {
		if (file !== ':memory:') {
			mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
			lookAtFile(file, Date.now());
			// Made with its mode from the start; what SQLite puts beside it takes the same.
			closeSync(openSync(file, 'a', OWN_ONLY));
		}
		db = new Database(file);
		db.pragma('busy_timeout = 5000');
		if (file !== ':memory:') lookAtBook(db, NEWEST_LAYOUT);
		db.pragma('journal_mode = WAL');
		// A write that was answered is on disk: WAL alone would only promise that after a checkpoint.
		db.pragma('synchronous = FULL');
		db.pragma('foreign_keys = ON');
		migrate(db);
		if (db.pragma('application_id', { simple: true }) !== APPLICATION_ID) {
			db.pragma(`application_id = ${APPLICATION_ID}`);
		}
		return db;
	} catch (error) {
		db?.close();
		throw troubleOf(file, error);
	}
}
