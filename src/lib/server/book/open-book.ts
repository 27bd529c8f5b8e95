import { mkdirSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { migrate } from './migrate';

/**
 * Opens a book, making it where there is none, and brings it to the newest layout.
 * @param file path of the SQLite file, or ':memory:'
 */
export function openBook(file: string): Database.Database {
	if (file !== ':memory:') mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
	const db = new Database(file);
	db.pragma('journal_mode = WAL');
	// A write that was answered is on disk: WAL alone would only promise that after a checkpoint.
	db.pragma('synchronous = FULL');
	db.pragma('foreign_keys = ON');
	db.pragma('busy_timeout = 5000');
	migrate(db);
	return db;
}
