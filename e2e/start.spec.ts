import { mkdirSync, writeFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { expect, test } from '@playwright/test';
import { bookFolder, startServer } from './server';

const troubles: [string, (file: string) => void, RegExp][] = [
	[
		'a newer layout',
		(file) => sqlite(file, 'CREATE TABLE field_year (id); PRAGMA user_version = 99'),
		/written by a newer Cosecha/
	],
	['a damaged file', (file) => writeFileSync(file, new Uint8Array(20_000)), /is no book of Cosecha.*--restore newest/],
	[
		'the file of another program',
		(file) => sqlite(file, 'CREATE TABLE songs (name)'),
		/SQLite file of another program/
	],
	['a folder', (file) => mkdirSync(file), /is no book of Cosecha: it is a folder/]
];

function sqlite(file: string, sql: string): void {
	const db = new Database(file);
	db.exec(sql);
	db.close();
}

for (const [name, make, said] of troubles) {
	test(`${name} in place of the book is told on the terminal and on the page`, async ({ page }) => {
		const book = bookFolder();
		make(book.file);
		const server = await startServer(book.file);
		expect(server.log()).toMatch(said);
		expect(server.log()).not.toContain('    at ');
		const answer = await page.goto(`${server.origin}/field/any/2027/rates`);
		expect(answer!.status()).toBe(503);
		await expect(page.getByRole('heading', { name: 'The book cannot be opened' })).toBeVisible();
		await expect(page.getByText(said)).toBeVisible();
		const refused = await fetch(`${server.origin}/api/fields`);
		expect([refused.status, ((await refused.json()) as { message: string }).message]).toEqual([
			503,
			expect.stringMatching(said)
		]);
		await server.stop();
		book.remove();
	});
}

test('two first starts at once both have the one new book', async () => {
	const book = bookFolder();
	const [one, two] = await Promise.all([startServer(book.file), startServer(book.file)]);
	for (const { origin, log } of [one, two]) {
		expect((await fetch(origin)).status).toBe(200);
		expect(log()).not.toMatch(/Error|cannot/);
	}
	await Promise.all([one.stop(), two.stop()]);
	book.remove();
});
