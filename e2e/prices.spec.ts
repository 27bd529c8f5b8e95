import { expect, hydrated, test } from './app';

test('prices of the whole book: found, sorted, changed, with what they were before, and as CSV both ways', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/prices`);
	await hydrated(page);
	await page.getByPlaceholder('Find an item').fill('urea 46');
	await expect(page.getByLabel(/^Price of/)).toHaveCount(1);
	await page.getByLabel('Price of Urea 46-0-0').fill('dear');
	await page.getByRole('button', { name: 'Save the prices' }).click();
	await expect(page.getByText('The price “dear” of Urea 46-0-0 must be a number, 0 or more.')).toBeVisible();
	await page.getByLabel('Price of Urea 46-0-0').fill('612');
	await page.getByRole('button', { name: 'Save the prices' }).click();
	await expect(page.getByRole('button', { name: 'Save the prices' })).toBeDisabled();
	await page.getByRole('button', { name: 'Expand current row' }).click();
	await expect(page.getByRole('listitem').first()).toContainText('612');
	await page.getByRole('button', { name: 'Undo: Entered prices' }).click();
	await expect(page.getByLabel('Price of Urea 46-0-0')).not.toHaveValue('612');

	await page.getByPlaceholder('Find an item').fill('');
	const csv = await (await fetch(`${app.server.origin}/prices/file`)).text();
	expect(csv.split('\r\n')[0]).toBe('item,name,price,unit,since');
	expect(csv).toMatch(/product:urea,Urea 46-0-0,[\d.]+,\$ per short ton,\d{4}-\d\d-\d\d/);

	const importer = page.locator('input[type=file]');
	await importer.setInputFiles({
		name: 'p.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from('item,price\nproduct:gold,5\n')
	});
	await expect(page.getByText(/line 2.*“product:gold” is no product/)).toBeVisible();
	await importer.setInputFiles({
		name: 'p.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from('item,price,since\nproduct:urea,700,\nnutrient:N,0.9,2026-01-02\n')
	});
	await expect(page.getByText('2 prices were imported.')).toBeVisible();
	await expect(page.getByLabel('Price of Urea 46-0-0')).toHaveValue('700');

	// As a spreadsheet of another country saves it.
	const utf16 = Buffer.from('\uFEFFsep=;\r\nitem;price\r\nproduct:urea;701,5\r\n', 'utf16le');
	await importer.setInputFiles({ name: 'p.csv', mimeType: 'text/csv', buffer: utf16 });
	await expect(page.getByText('1 price was imported. Read as UTF-16.')).toBeVisible();
	await expect(page.getByLabel('Price of Urea 46-0-0')).toHaveValue('701.5');
	// Nothing of it is cut off to make it fit.
	const long = Buffer.from(`item,price\nproduct:urea,1\n${'#'.repeat(500_000)}`);
	await importer.setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: long });
	await expect(page.getByText('long.csv is over 500 kB of text, more than is taken at once.')).toBeVisible();
	await expect(page.getByLabel('Price of Urea 46-0-0')).toHaveValue('701.5');
});
