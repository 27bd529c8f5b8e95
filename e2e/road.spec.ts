import { readFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';

test('a newcomer goes from the roster to the grower’s sheet, and a reload loses nothing on the way', async ({
	page,
	app
}, info) => {
	await page.goto(app.server.origin);
	await hydrated(page);
	await expect(page.getByRole('heading', { name: '21 fields, 5 growers, plans for 2027' })).toBeVisible();

	// The lab's file becomes a new field.
	await page.getByRole('link', { name: 'Import a lab file' }).first().click();
	await page.locator('input[type=file]').setInputFiles('demo/lab-fenmoor.csv');
	await page.waitForURL(/\/import\/.+/);
	await page.getByLabel('Lab (its columns are remembered)').fill('Fenmoor Soil Bench');
	await expect(page.getByRole('button', { name: 'Import 5 rows' })).toBeEnabled();
	await page.reload();
	await hydrated(page);
	await expect(page.getByLabel('Lab (its columns are remembered)')).toHaveValue('Fenmoor Soil Bench');
	await page.getByRole('button', { name: 'Import 5 rows' }).click();
	await expect(page.getByText('In the book: 5 of 5 rows.')).toBeVisible();
	await page.getByRole('link', { name: 'Larkspur Flat' }).click();

	// Corn, 180 bu, after soybean.
	await page.getByLabel('Yield goal, bu/ac').fill('180');
	await page.getByLabel('Previous crop').selectOption('soybean');
	await page.getByRole('button', { name: 'Save the goal' }).click();
	await expect(page.getByText('Corn 180 bu/ac')).toBeVisible();
	await page.reload();
	await hydrated(page);
	await expect(page.getByText('Corn 180 bu/ac')).toBeVisible();

	// Rates by one guide; the worksheet opens behind the number.
	await page.getByRole('button', { name: 'Follow one guide' }).click();
	await page.getByRole('menuitem', { name: 'Tri-state guide 1995', exact: true }).click();
	await expect(page.getByRole('radio', { checked: true })).toHaveCount(4);
	await page
		.getByRole('button', { name: 'Nitrogen by Tri-state guide 1995: N by yield goal: 187.8 lb/ac; open the worksheet' })
		.click();
	const worksheet = page.getByRole('dialog', { name: 'Worksheet' });
	await expect(worksheet).toContainText('-27 + 1.36 x yield goal');
	await expect(worksheet).toContainText('after soybean');
	await expect(worksheet).toContainText('Value written from memory');
	await page.keyboard.press('Escape');
	await expect(worksheet).toHaveCount(0);

	// The season: the ground holds 160, and what phosphate and starter brought still lies there in June.
	await page.getByRole('link', { name: 'Plan the season with these rates' }).click();
	await page.getByRole('button', { name: 'Propose passes' }).click();
	await page.getByRole('button', { name: /^Side-dress at V5 to V7 on/ }).click();
	await expect(page.getByRole('region', { name: 'The chosen pass' })).toContainText(/N capacity left that day\s*1\d\d/);
	await page.reload();
	await hydrated(page);
	await expect(page.getByRole('region', { name: 'All passes' }).locator('tbody tr')).toHaveCount(6);

	// The sheet, issued and printed.
	await page.getByRole('link', { name: 'To the grower’s sheet' }).click();
	await expect(page.getByLabel('Prepared by')).toHaveValue('Ada Verhulst, crop adviser');
	await page.getByRole('button', { name: 'Issue the sheet' }).click();
	await expect(page.getByRole('link', { name: 'No. 1', exact: true })).toBeVisible();
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'PDF' }).click();
	const pdf = await download;
	expect(pdf.suggestedFilename()).toBe('sheet-1-larkspur-flat-2027.pdf');
	const file = info.outputPath('sheet.pdf');
	await pdf.saveAs(file);
	const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
	for (const words of [
		'Larkspur Flat, corn 2027',
		'N 187.8 lb/ac',
		'Prepared by Ada Verhulst',
		'Follow the label and local code',
		'4.72 short ton/ac'
	]) {
		expect(text).toContain(words);
	}
});

test('an issued sheet reprints the same after the soil test changed, and the field says that it is out of date', async ({
	page,
	app
}) => {
	await app.openField('Heronry', 'sheet');
	await page.getByRole('button', { name: 'Issue the sheet' }).click();
	await expect(page.getByRole('link', { name: 'No. 1', exact: true })).toBeVisible();
	const address = await page.getByRole('link', { name: 'PDF' }).getAttribute('href');
	const print = async (kind: string) => {
		const response = await fetch(app.server.origin + address!.replace('pdf', kind));
		return Buffer.from(await response.arrayBuffer());
	};
	const before = await Promise.all(['pdf', 'csv', 'ics'].map(print));
	await expect(page.getByText('out of date')).toHaveCount(0);

	// A new sample with more potassium comes in.
	const csv = readFileSync('demo/lab-fenmoor.csv', 'utf8').replace(',79,', ',170,');
	const upload = await fetch(`${app.server.origin}/api/imports`, {
		method: 'POST',
		headers: { 'content-type': 'application/octet-stream', 'x-file-name': 'new.csv' },
		body: csv
	});
	const { id } = (await upload.json()) as { id: string };
	await page.goto(`${app.server.origin}/import/${id}`);
	await hydrated(page);
	await page.getByLabel('Lab (its columns are remembered)').fill('Fenmoor Soil Bench');
	await page.getByRole('button', { name: 'Import 5 rows' }).click();
	await expect(page.getByText('In the book: 5 of 5 rows.')).toBeVisible();

	await app.openField('Heronry', 'sheet');
	await expect(page.getByText('The plan has changed since; this sheet is out of date.')).toBeVisible();
	const after = await Promise.all(['pdf', 'csv', 'ics'].map(print));
	after.forEach((file, at) => expect(file.equals(before[at]!)).toBe(true));
	await expect(page.getByText(/^Soil: potassium, ammonium acetate, 0-8 in 1\d\d ppm, before 82 ppm\.$/)).toBeVisible();
	await page.getByRole('link', { name: 'No. 1', exact: true }).click();
	await expect(page).toHaveURL(/\/sheets\//);
	await expect(page.getByText('potassium, ammonium acetate, 0-8 in')).toBeVisible();
	await expect(page.getByRole('article', { name: 'Sheet' })).toContainText('82 ppm');
});

test('the calendar and the table carry every pass with its cautions', async ({ page, app }) => {
	await app.openField('Crow Acre', 'sheet');
	await page.getByRole('button', { name: 'Issue the sheet' }).click();
	const address = (await page.getByRole('link', { name: 'calendar' }).getAttribute('href'))!;
	const calendar = await (await fetch(app.server.origin + address)).text();
	expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(6);
	expect(calendar).toContain('SUMMARY:Crow Acre: Lime\\, worked in');
	expect(calendar).toContain('DTSTART;VALUE=DATE:20261204');
	const table = await (await fetch(app.server.origin + address.replace('ics', 'csv'))).text();
	expect(table.split('\r\n')[0]).toBe(
		'date,pass,product,rate,unit,gal/ac,placement,nutrients,whole field,why,cautions'
	);
	expect(table).toContain('wear a mask');
});

test('a lab file with a bad row imports nothing until the adviser decides', async ({ page, app }, info) => {
	const file = info.outputPath('lab.csv');
	writeFileSync(file, readFileSync('demo/lab-fenmoor.csv', 'utf8').replace(',18,79,', ',18,seventy,'));
	await page.goto(`${app.server.origin}/import`);
	await hydrated(page);
	await page.locator('input[type=file]').setInputFiles(file);
	await page.waitForURL(/\/import\/.+/);
	await page.getByLabel('Lab (its columns are remembered)').fill('Fenmoor');
	await expect(page.getByText('1 waits for your decision')).toBeVisible();
	await expect(page.getByText('potassium: “seventy” is no number')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Import 4 rows' })).toBeDisabled();
	await page
		.getByRole('row', { name: /seventy/ })
		.getByRole('button', { name: 'Leave out' })
		.click();
	await page.getByRole('button', { name: 'Import 4 rows' }).click();
	await expect(page.getByText('In the book: 4 of 5 rows.')).toBeVisible();
	await expect(page.getByRole('row', { name: /left out: potassium: “seventy” is no number/ })).toBeVisible();

	// The whole file comes out again with one press.
	await page.getByRole('button', { name: 'Undo: Imported lab.csv' }).click();
	await expect(page.getByText('Nothing of this file is in the book yet.')).toBeVisible();
});

test('a bad cell can be written again in place', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/import`);
	await hydrated(page);
	await page.locator('input[type=file]').setInputFiles('demo/lab-orchard-pounds.csv');
	await page.waitForURL(/\/import\/.+/);
	await page.getByLabel('Lab (its columns are remembered)').fill('Orchard Diagnostics');
	await page.getByLabel('Set every unit not named').selectOption('lb/ac-furrow');
	await expect(page.getByText('“5,4” has a decimal comma; write a point')).toBeVisible();
	await page.getByLabel('Write line 5, ph_cacl2 again').fill('5.4');
	await page.keyboard.press('Tab');
	await page.getByRole('button', { name: 'Import 5 rows' }).click();
	await expect(page.getByText('In the book: 5 of 5 rows.')).toBeVisible();
	await page.getByRole('link', { name: 'Quince Corner' }).click();
	await page.getByRole('link', { name: /^Ground/ }).click();
	await expect(page.getByRole('row', { name: 'phosphorus Colwell lb/ac (ppm x 2) <10' })).toBeVisible();
});

test('a wrong file is refused with a sentence, and nothing is kept', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/import`);
	await hydrated(page);
	await page.locator('input[type=file]').setInputFiles('docs/screenshots/roster.png');
	await expect(page.getByText('roster.png is neither a CSV nor an .xlsx file.')).toBeVisible();
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Files so far' })).toHaveCount(0);
});
