import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, hydrated, test } from './app';
import { PAGES } from './places';

/** Pages that have a test of their own below. */
const LOOKED_AT = ['/', '/guides', '/curves'];
const WORDS = ['ground', 'reading', 'rates', 'season', 'supply', 'sheet', 'walk', 'book'];

/** What is wrong with the page, or with one part of it. */
async function violations(page: Page, part = 'body'): Promise<string[]> {
	// In the page itself: else each look opens a page of its own.
	const axe = new AxeBuilder({ page })
		.setLegacyMode(true)
		.options({ resultTypes: ['violations'] })
		.include(part)
		.withTags(['wcag2a', 'wcag2aa']);
	const { violations: found } = await axe.analyze();
	return found.map(
		({ id, nodes }) =>
			`${id}: ${nodes
				.map(({ target }) => target.join(' '))
				.slice(0, 3)
				.join(' | ')}`
	);
}

/** Whether anything on the page reaches past the window's right edge. */
function overflow(page: Page): Promise<boolean> {
	return page.evaluate(() => document.documentElement.scrollWidth > document.documentElement.clientWidth);
}

test('weather, my rules, products, orders, calibration, trials and the maps can be used by everyone and fit the window', async ({
	page,
	app
}) => {
	test.setTimeout(600_000);
	for (const path of ['/water', ...PAGES.filter((one) => !LOOKED_AT.includes(one))]) {
		await page.goto(app.server.origin + path);
		await hydrated(page);
		expect(await violations(page), path).toEqual([]);
		expect(await overflow(page), path).toBe(false);
	}
	await page.goto(`${app.server.origin}/trials`);
	await page.getByRole('link', { name: 'Placement and timing of 160 lb N' }).click();
	await hydrated(page);
	for (const width of [1280, 390]) {
		await page.setViewportSize({ width, height: 844 });
		expect(await violations(page), `a trial at ${width}`).toEqual([]);
		expect(await overflow(page), `a trial at ${width}`).toBe(false);
	}
	await page.setViewportSize({ width: 1280, height: 800 });
	await app.openField('Brick Kiln', 'zones', 2026);
	expect(await violations(page), 'zones').toEqual([]);
	expect(await overflow(page), 'zones').toBe(false);
});

test('every main view can be used by everyone (axe, WCAG 2 A and AA) and fits the window', async ({ page, app }) => {
	test.setTimeout(600_000);
	for (const path of ['/', '/prices', '/import', '/guides', '/curves', '/curves/fit', '/guides/wheat-sulfur']) {
		await page.goto(app.server.origin + path);
		await hydrated(page);
		expect(await violations(page), path).toEqual([]);
	}
	await page.getByRole('button', { name: 'Copy it to change' }).click();
	await expect(page.getByText('worked examples come out')).toBeVisible();
	expect(await violations(page), 'a guide being changed').toEqual([]);
	await app.openField('Heronry', 'rates');
	for (const panel of ['Yield and return', 'Six years on', 'Lime and pay-back']) {
		await page.getByRole('button', { name: panel }).first().click();
		expect(await violations(page, '.panel'), panel).toEqual([]);
		expect(await overflow(page), panel).toBe(false);
	}
	for (const word of WORDS) {
		await app.openField('Heronry', word);
		expect(await violations(page), word).toEqual([]);
		expect(await overflow(page), word).toBe(false);
	}
});

test('the road by keyboard alone: find a field, go along the words, choose, undo', async ({ page, app }) => {
	await page.goto(app.server.origin);
	await hydrated(page);
	await page.keyboard.press('/');
	await page.keyboard.type('old orch');
	await expect(page.getByRole('option', { name: /Old Orchard Piece/ })).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'Old Orchard Piece' })).toBeVisible();
	await page.keyboard.press('3');
	await expect(page.getByRole('heading', { name: 'Rates compared' })).toBeVisible();
	const marks = page.getByRole('radiogroup', { name: /^Potash/ });
	await marks.getByRole('radio').first().focus();
	await page.keyboard.press('ArrowRight');
	await expect(marks.getByRole('radio').nth(1)).toBeFocused();
	await page.keyboard.press('Enter');
	await expect(marks.getByRole('radio', { checked: true })).toHaveCount(1);
	await page.keyboard.press('Control+z');
	await expect(marks.getByRole('radio', { checked: true })).toHaveCount(0);
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toContainText('find a field');
	await page.keyboard.press('Escape');
	await page.keyboard.press('0');
	await expect(page.getByRole('heading', { name: 'This fortnight' })).toBeVisible();
	await page.goBack();
	await expect(page.getByRole('heading', { name: 'Rates compared' })).toBeVisible();
});

test('the worksheet takes the focus and gives it back', async ({ page, app }) => {
	await app.openField('Kingfisher Bend', 'rates');
	const number = page.getByRole('button', { name: /Phosphate by Tri-state/ });
	await number.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toBeFocused();
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toContainText('1 ppm more on the test: 5 lb/ac less.');
	await page.keyboard.press('Escape');
	await expect(number).toBeFocused();
});

test.describe('in a narrow window', () => {
	test.use({ viewport: { width: 390, height: 844 } });
	test('the pages do not run off the side', async ({ page, app }) => {
		await page.goto(app.server.origin);
		await hydrated(page);
		expect(await violations(page), 'roster').toEqual([]);
		for (const word of ['reading', 'rates', 'season', 'supply', 'sheet', 'book']) {
			await app.openField('Heronry', word);
			expect(await overflow(page), word).toBe(false);
			expect(await violations(page), word).toEqual([]);
		}
		await page.goto(`${app.server.origin}/prices`);
		await hydrated(page);
		expect(await violations(page), 'prices').toEqual([]);
		await page.goto(`${app.server.origin}/guides/tri-state-2020`);
		await hydrated(page);
		await page.getByRole('button', { name: 'Copy it to change' }).click();
		await expect(page.getByText('worked examples come out')).toBeVisible();
		expect(await overflow(page), 'a guide being changed').toBe(false);
	});

	test('name, field and menu stand in one bar; the open word is in sight; the roster is cards', async ({
		page,
		app
	}) => {
		await app.openField('Heronry', 'sheet');
		const bar = page.getByRole('banner');
		const tops = await Promise.all(
			[
				bar.getByRole('link', { name: 'Cosecha' }),
				bar.getByRole('combobox'),
				bar.getByRole('button', { name: 'Menu' })
			].map(async (part) => (await part.boundingBox())!)
		);
		const middles = tops.map(({ y, height }) => y + height / 2);
		expect(Math.max(...middles) - Math.min(...middles)).toBeLessThan(8);
		await expect(bar.getByRole('link', { name: 'Guides' })).toBeHidden();
		await expect(page.locator('nav.work [aria-current=page]')).toBeInViewport({ ratio: 1 });

		await bar.getByRole('button', { name: 'Menu' }).click();
		await page.getByRole('menuitem', { name: 'Prices' }).click();
		await expect(page.getByRole('heading', { name: 'Prices', level: 1 })).toBeVisible();
		expect(await overflow(page), 'prices').toBe(false);

		await bar.getByRole('link', { name: 'Cosecha' }).click();
		const card = page.getByRole('row').filter({ hasText: 'Heronry' });
		await card.scrollIntoViewIfNeeded();
		for (const text of ['Heronry', 'Quillet Bros', 'Corn 140 bu', 'sheet to issue']) {
			await expect(card.getByText(text)).toBeInViewport({ ratio: 1 });
		}
		expect(await overflow(page), 'roster').toBe(false);
	});
});

test.describe('with an empty book', () => {
	test.use({ demo: false });
	test('each screen says what to do first', async ({ page, app }) => {
		await page.goto(app.server.origin);
		await hydrated(page);
		await expect(page.getByRole('heading', { name: 'An empty book' })).toBeVisible();
		await page.getByRole('button', { name: 'New field' }).first().click();
		await page.getByLabel('Field', { exact: true }).fill('First Piece');
		await page.getByLabel(/^Grower/).fill('Somebody');
		await page.getByRole('button', { name: 'Add the field' }).click();
		await expect(page.getByRole('heading', { name: 'First Piece' })).toBeVisible();
		await expect(page.getByText('No boundary yet')).toBeVisible();
		for (const word of ['Reading', 'Rates', 'Season', 'Sheet']) {
			await page.getByRole('link', { name: new RegExp(`^${word}`) }).click();
			await expect(page.getByText('No soil sample yet')).toBeVisible();
		}
		await page.getByRole('link', { name: /^Supply/ }).click();
		await expect(page.getByText('Nothing to buy: no pass is open.')).toBeVisible();
		await page.getByRole('link', { name: /^Scouting and records/ }).click();
		await expect(page.getByText('No crop is in the book for this year')).toBeVisible();
	});
});
