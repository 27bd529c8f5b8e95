import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import type { Page } from '@playwright/test';
import { expect, hydrated, test, type App } from './app';
import { PAGES, WORDS } from './places';

/** What a missing number looks like where nobody said that it is missing. */
const SPOILED = /\bNaN\b|\bundefined\b|\bnull\b|Infinity|\[object/;

interface Field {
	id: string;
	name: string;
}

/** Reads pages as the server sends them; none may fail or hold a number that is none. */
async function readAll(app: App, places: readonly string[]): Promise<void> {
	for (const place of places) {
		const response = await fetch(app.server.origin + place);
		expect(response.status, place).toBe(200);
		const text = (await response.text()).replace(/<script[\s\S]*?<\/script>/g, '').replace(/<[^>]+>/g, ' ');
		expect(text.length, place).toBeGreaterThan(100);
		expect(text, place).not.toMatch(SPOILED);
	}
}

/** Opens pages one after the other; none may show a number that is none, or fail in the browser or on the server. */
async function sweep(page: Page, app: App, places: readonly string[]): Promise<void> {
	const errors: string[] = [];
	page.on('pageerror', ({ message }) => errors.push(message));
	page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
	for (const place of places) {
		await page.goto(app.server.origin + place);
		await hydrated(page);
		const text = await page.locator('body').innerText();
		expect(text.length, place).toBeGreaterThan(100);
		expect(text, place).not.toMatch(SPOILED);
	}
	expect(errors).toEqual([]);
	expect(app.server.log()).not.toContain('Error');
}

test('every page of every field is sent without an error, and shows no number that is none', async ({ app }) => {
	test.setTimeout(1_200_000);
	const fields = fieldsOf(app.bookFile);
	expect(fields.length).toBeGreaterThan(10);
	await readAll(app, [...PAGES, ...fields.flatMap(({ id }) => WORDS.map((word) => `/field/${id}/2027/${word}`))]);
	expect(app.server.log()).not.toContain('Error');
});

// A browser takes half a second for a page: it opens each word for a fifth of the fields. The pages of the book open in screens.spec.
test('the pages of fields open in the browser without an error, and show no number that is none', async ({
	page,
	app
}) => {
	test.setTimeout(1_200_000);
	const places = fieldsOf(app.bookFile).flatMap(({ id }, field) =>
		WORDS.filter((_, word) => (field + word) % 5 === 0).map((word) => `/field/${id}/2027/${word}`)
	);
	expect(places.length).toBeGreaterThan(30);
	await sweep(page, app, places);
});

test('no sheet, table, calendar or work order does either', async ({ app }, info) => {
	test.setTimeout(600_000);
	const fields = fieldsOf(app.bookFile);
	// The orchard gives its pH in CaCl2 alone: urea on top of it in dry weeks once lost NaN lb.
	const orchard = fields.find(({ name }) => name === 'Old Orchard Piece')!.id;
	const outlook = { from: '2027-06-05', rainMm: Array<number>(10).fill(0) };
	expect((await app.post('/api/weather/outlook', { outlook }, 'PUT')).status).toBe(200);
	const urea = {
		id: 'x',
		date: '2027-06-05',
		label: 'Urea',
		product: 'urea',
		rate: 100,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: ''
	};
	expect((await app.post(`/api/fields/${orchard}/2027/passes`, { removed: [], added: [urea] })).status).toBe(200);
	let issued = 0;
	for (const { id, name } of fields) {
		const answer = await app.post(`/api/fields/${id}/2027/sheets`, {});
		expect(answer.status, name).toBeLessThan(500);
		if (!answer.ok) continue;
		issued++;
	}
	expect(issued).toBeGreaterThan(4);
	const book = new Database(app.bookFile, { readonly: true });
	const sheets = book.prepare('SELECT id, content FROM sheet').all() as { id: string; content: string }[];
	book.close();
	for (const { id, content } of sheets) {
		// Cells of a sheet that hold nothing are left out of it, never null.
		expect(content).not.toMatch(/\bNaN\b|undefined|Infinity|\[object/);
		for (const kind of ['pdf', 'orders', 'csv', 'ics']) {
			const response = await fetch(`${app.server.origin}/sheets/${id}/${kind}`);
			expect(response.status, kind).toBe(200);
			expect(await textOf(response, info.outputPath(`${id}.${kind}`)), `${id} ${kind}`).not.toMatch(SPOILED);
		}
	}
});

function fieldsOf(file: string): Field[] {
	const book = new Database(file, { readonly: true });
	const fields = book.prepare('SELECT id, name FROM field').all() as Field[];
	book.close();
	return fields;
}

async function textOf(response: Response, file: string): Promise<string> {
	if (!response.headers.get('content-type')?.includes('pdf')) return response.text();
	writeFileSync(file, Buffer.from(await response.arrayBuffer()));
	return execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
}

test('a mistyped year is refused with what would be right, and one that is stored is shown, not worked with', async ({
	page,
	app
}) => {
	const id = await app.fieldId('Crow Acre');
	const pass = {
		id: 'x',
		label: 'Late urea',
		product: 'urea',
		rate: 100,
		unit: 'lb/ac',
		reason: '',
		placement: 'broadcast'
	};
	for (const date of ['0202-06-10', '2207-06-10', '9999-06-10', '2031-06-10']) {
		const added = await app.post(`/api/fields/${id}/2027/passes`, {
			removed: [],
			added: [{ ...pass, date }]
		});
		expect(added.status, date).toBe(422);
		expect(JSON.stringify(await added.json())).toContain('/added/0/date');
		const goal = await app.post(
			`/api/fields/${id}/2027/goal`,
			{
				crop: 'corn-grain',
				yieldGoal: 150,
				plantingDate: date
			},
			'PUT'
		);
		expect(goal.status, date).toBe(422);
		const season = await app.post('/api/season', {
			soil: {},
			crop: { id: 'corn-grain', yieldGoal: 150, plantingDate: '2027-05-01' },
			passes: [{ ...pass, date }]
		});
		expect(season.status, date).toBe(422);
	}
	const book = new Database(app.bookFile);
	const { id: row, plan } = book
		.prepare("SELECT id, plan FROM pass WHERE plan LIKE '%High-clearance pass at V11%'")
		.get() as {
		id: string;
		plan: string;
	};
	book.prepare('UPDATE pass SET plan = ? WHERE id = ?').run(plan.replace('2027-07-01', '0202-07-01'), row);
	book.close();
	await app.openField('Crow Acre', 'season');
	await expect(
		page.getByText(
			/The day of High-clearance pass at V11 must lie in the season, 2026-\d\d-\d\d to 2028-\d\d-\d\d; got "0202-07-01"/
		)
	).toBeVisible();
	await expect(page.getByRole('region', { name: 'The board' })).toBeVisible();
});

test('what cannot be worked out for a field without a sample is refused in a sentence', async ({ app }) => {
	const made = await app.post('/api/fields', { name: 'Fresh Ground', grower: 'Somebody' });
	const { id } = (await made.json()) as { id: string };
	const answer = await fetch(`${app.server.origin}/api/fields/${id}/2027/seasons`);
	expect(answer.status).toBe(409);
	expect(((await answer.json()) as { message: string }).message).toBe('The field has no soil sample yet.');
});
