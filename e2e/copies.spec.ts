import { readFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';

test('a backup is made, looked at and restored; an export is imported again; a wrong file is refused', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/copies`);
	await hydrated(page);
	await page.getByRole('button', { name: 'Back up now' }).click();
	await expect(page.getByRole('status')).toContainText(/^Copied and checked: /);
	const copies = page.getByRole('table', { name: 'Copies of the book' });
	await expect(copies.getByRole('row')).toHaveCount(2);

	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Export the book' }).click();
	const zip = { name: 'book.zip', mimeType: 'application/zip', buffer: readFileSync(await (await download).path()) };

	await page.getByLabel('Copies kept').fill('9');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByRole('button', { name: /^Undo: Changed how many backups/ })).toBeVisible();
	await copies.getByRole('button', { name: /^Restore the copy/ }).click();
	const look = page.getByRole('region', { name: 'Before it is restored' });
	await expect(look.getByRole('row', { name: /^Fields/ })).toHaveText(/Fields\s*21\s*21/);
	await expect(look.getByRole('row', { name: /^Last change/ })).toContainText('Changed how many backups are kept');
	await look.getByRole('button', { name: 'Put it in the place of the book' }).click();
	await expect(page.getByRole('status')).toContainText(/^Restored\. The book of before is kept as /);
	await expect(page.getByLabel('Copies kept')).toHaveValue('9');
	await page.reload();
	await hydrated(page);
	await expect(page.getByLabel('Copies kept')).toHaveValue('30');

	const choose = page.getByRole('region', { name: 'Import' }).locator('input[type=file]');
	await choose.setInputFiles({ name: 'notes.zip', mimeType: 'application/zip', buffer: Buffer.from('hello') });
	await expect(page.getByRole('alert')).toContainText('notes.zip is no zip, or a broken one');
	await choose.setInputFiles(zip);
	await look.getByRole('button', { name: 'Put it in the place of the book' }).click();
	await expect(page.getByRole('status')).toContainText(/^Imported\./);
	await app.openField('Heronry', 'rates');
	await expect(page.getByRole('heading', { name: 'Rates compared' })).toBeVisible();
});
