import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { fillBook } from './fill-book';

/** Fills an empty book with a demo district; a book with anything in it is left alone. */
export function seedDemo(db: Database, file: string): void {
	const { fields } = db.prepare<[], { fields: number }>('SELECT count(*) AS fields FROM grower').get()!;
	if (fields === 0) fillBook(db, JSON.parse(readFileSync(file, 'utf8')));
}
