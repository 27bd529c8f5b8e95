import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { readApart } from '../apart/read-apart';
import type { SentFile } from '../sent-file';
import type { ReadBook } from './read-book-file';

/**
 * Reads a book file into a book of its own and does something with it; that book is gone afterwards.
 * @param gone that nobody waits for it any more
 * @throws ActionError naming what in the file is wrong
 */
export async function withDraft<T>(file: SentFile, gone: AbortSignal, work: (read: ReadBook) => T): Promise<T> {
	const folder = await mkdtemp(path.join(tmpdir(), 'cosecha-book-'));
	try {
		const draft = path.join(folder, 'book.db');
		const head = await readApart('book', { file, draft }, gone);
		const db = new Database(draft);
		try {
			return work({ db, head });
		} finally {
			db.close();
		}
	} finally {
		await rm(folder, { recursive: true, force: true });
	}
}
