import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';

test('the book over the years: by field, grower and as a whole; a wrong year is said; CSV; a line opens the field', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/years`);
	await hydrated(page);
	const table = page.getByRole('table', { name: 'The book over the years' });
	// 100 lb of potash on, 52 bu soybean off: 60 - 52 x 1.17.
	await expect(table.getByRole('row', { name: /^Kingfisher Bend 2026 Soybean 52 bu 104 % 0 -38 -1/ })).toBeVisible();
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'As CSV' }).click();
	const csv = readFileSync(await (await download).path(), 'utf8').split('\r\n');
	expect(csv[0]).toContain('P2O5 balance, lb/ac');
	expect(csv.some((line) => line.startsWith('Kingfisher Bend,Tarrow & Daughters,2026,Soybean,1,62,50,52,1.04,'))).toBe(
		true
	);

	await page.getByRole('tab', { name: 'By grower' }).click();
	await expect(table.getByRole('row', { name: /^Quillet Bros 2026/ })).toBeVisible();
	await page.getByLabel('Grower of the chart').selectOption('Quillet Bros');
	await expect(
		page.getByRole('img', { name: /^Balance of Quillet Bros, lb\/ac: N .*P2O5 -?\d+ in 2024/ })
	).toBeVisible();
	const [printed] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'As PDF' }).click()
	]);
	const words = execFileSync('pdftotext', ['-layout', await printed.path(), '-'], { encoding: 'utf8' });
	expect(words).toMatch(/The book from 2024 to 2026/);
	expect(words).toMatch(/Quillet Bros\s+2026/);
	expect(words).toContain('Quillet Bros: balance of the year, lb/ac');
	await page.getByLabel('From').fill('2030');
	await page.getByRole('button', { name: 'Show' }).click();
	await expect(page.getByRole('alert')).toHaveText('The first year must not be after the last; got 2030 to 2026.');
	await page.getByLabel('From').fill('2023');
	await page.getByRole('button', { name: 'Show' }).click();
	await expect(table.getByRole('row', { name: /^Quillet Bros 2023/ })).toBeVisible();
	await page.getByRole('tab', { name: 'By field' }).click();
	await table.getByRole('link', { name: 'Brick Kiln' }).first().click();
	await expect(page.getByRole('table', { name: 'Nutrient balance by year' })).toBeVisible();
});

test('a field looked back on: soil tests beside the balance, and what each approach would have advised', async ({
	page,
	app
}) => {
	await app.openField('Kingfisher Bend', 'book');
	await page.goto(page.url().replace('/2027/', '/2026/'));
	await hydrated(page);
	const tests = page.getByRole('table', { name: 'Soil tests beside the balance' });
	await expect(tests.getByRole('row', { name: /^phosphorus.*12 to 10/ })).toContainText('by less than it says');
	await tests.getByRole('button', { name: /^by the balance: -6.9 ppm/ }).click();
	const worksheet = page.getByRole('dialog');
	await expect(worksheet).toContainText('balance / lb for each ppm');
	await page.keyboard.press('Escape');
	await page.getByLabel('Nutrient', { exact: true }).selectOption('K2O');
	const advised = page.getByRole('table', { name: 'K2O as each approach would have advised' });
	// 60 lb went on as potash: 100 lb of 60 %.
	await expect(advised.getByRole('row', { name: /^Replace removal/ })).toContainText('60');
});
