import { copyFileSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { bookFolder, startServer } from './server';

const FOLDER = 'test-results/books';

/** A book as each test finds it: the demo district, or nothing. */
export const pristineBook = (demo: boolean): string => path.resolve(FOLDER, demo ? 'demo.db' : 'empty.db');

/** Before all tests: makes both books once. To fill the demo takes two seconds, to copy it a few milliseconds. */
export default async function makePristineBooks(): Promise<void> {
	mkdirSync(FOLDER, { recursive: true });
	await Promise.all([true, false].map(makeBook));
}

async function makeBook(demo: boolean): Promise<void> {
	const book = bookFolder();
	const server = await startServer(book.file, demo ? { COSECHA_DEMO: 'demo/district.json' } : {});
	const answer = await fetch(`${server.origin}/api/backups`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: '{}'
	});
	if (!answer.ok) throw new Error(`no copy of the pristine book: ${await answer.text()}`);
	const { id } = (await answer.json()) as { id: string };
	copyFileSync(path.join(`${book.file}.backups`, id), pristineBook(demo));
	await server.stop();
	book.remove();
}
