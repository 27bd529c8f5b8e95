import { test as base, expect, type Page } from '@playwright/test';
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

/** Every test has a server and a demo book of its own, and fails on any request that leaves the machine and on any error of a page. */
export const test = base.extend<{ app: App; demo: boolean }>({
	demo: [true, { option: true }],
	app: async ({ demo, page }, use) => {
		const book = bookFolder();
		const server = await startServer(book.file, demo ? { COSECHA_DEMO: 'demo/district.json' } : {});
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
			bookFile: book.file,
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
		await server.stop();
		book.remove();
		expect(outside, 'requests that leave the machine').toEqual([]);
		expect(errors, 'errors of pages').toEqual([]);
	}
});

export { expect };

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
