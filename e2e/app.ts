import { copyFileSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { test as base, expect, type Page } from '@playwright/test';
import { pristineBook } from './pristine-books';
import { bookFolder, startServer, type RunningServer } from './server';

export interface App {
	server: RunningServer;
	/** The book's file, for a look at what is kept. */
	bookFile: string;
	/** Opens a page of a field by the field's name. */
	openField: (name: string, word: string, year?: number) => Promise<void>;
	fieldId: (name: string) => Promise<string>;
	post: (path: string, body: unknown, method?: string) => Promise<Response>;
}

interface Worker {
	server: RunningServer;
	bookFile: string;
}

/**
 * Every test has a demo book of its own, restored in place of the last test's, and fails on any request that leaves the machine and on
 * any error of a page. The tests of one worker share a server: starting one takes longer than most tests.
 */
export const test = base.extend<{ app: App; demo: boolean }, { worker: Worker }>({
	demo: [true, { option: true }],
	worker: [
		// Playwright reads from this pattern that the fixture needs no other.
		// eslint-disable-next-line no-empty-pattern
		async ({}, use) => {
			const book = bookFolder();
			const server = await startServer(book.file);
			await use({ server, bookFile: book.file });
			await server.stop();
			book.remove();
		},
		{ scope: 'worker' }
	],
	app: async ({ demo, page, worker }, use) => {
		await freshBook(worker, demo);
		const { bookFile } = worker;
		const loggedBefore = worker.server.log().length;
		const server = { ...worker.server, log: () => worker.server.log().slice(loggedBefore) };
		const outside = watchRequests(page, server.origin);
		const errors = watchErrors(page);
		const fieldId = async (name: string) => {
			const response = await fetch(`${server.origin}/api/fields?find=${encodeURIComponent(name)}`);
			const [field] = (await response.json()) as { id: string }[];
			if (!field) throw new Error(`no field ${name}`);
			return field.id;
		};
		await use({
			server,
			bookFile,
			fieldId,
			openField: async (name, word, year = 2027) => {
				await page.goto(`${server.origin}/field/${await fieldId(name)}/${year}/${word}`);
				await hydrated(page);
			},
			post: (path, body, method = 'POST') =>
				fetch(server.origin + path, {
					method,
					headers: { 'content-type': 'application/json' },
					body: JSON.stringify(body)
				})
		});
		expect(outside, 'requests that leave the machine').toEqual([]);
		expect(errors, 'errors of pages').toEqual([]);
	}
});

export { expect };

/** Restores a pristine book through the program's own API, and deletes what the last test left beside it. */
async function freshBook({ server, bookFile }: Worker, demo: boolean): Promise<void> {
	const copies = `${bookFile}.backups`;
	const copy = 'book-2026-11-23T00-00-00.db';
	rmSync(copies, { recursive: true, force: true });
	mkdirSync(copies);
	copyFileSync(pristineBook(demo), path.join(copies, copy));
	const answer = await fetch(`${server.origin}/api/backups/${copy}/restore`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: '{}'
	});
	if (!answer.ok) throw new Error(`the pristine book was not restored: ${await answer.text()}`);
	rmSync(copies, { recursive: true });
	const folder = path.dirname(bookFile);
	for (const file of readdirSync(folder)) if (file.includes('.replaced-')) rmSync(path.join(folder, file));
}

/** Waits until the page answers to its buttons: until then a press would be lost. */
export async function hydrated(page: Page): Promise<void> {
	await page.locator('body[data-ready]').waitFor({ state: 'attached' });
}

/** A chart that cannot be drawn, say, leaves an empty space that no text betrays. */
function watchErrors(page: Page): string[] {
	const errors: string[] = [];
	page.context().on('weberror', (event) => {
		const { message, stack } = event.error();
		// What a page that was left broke off has neither words nor a place.
		if (message !== '' || stack) errors.push(stack ?? message);
	});
	return errors;
}

function watchRequests(page: Page, origin: string): string[] {
	const outside: string[] = [];
	page.context().on('request', (request) => {
		const url = request.url();
		if (!url.startsWith(`${origin}/`) && !/^(data|blob):/.test(url)) outside.push(url);
	});
	return outside;
}
