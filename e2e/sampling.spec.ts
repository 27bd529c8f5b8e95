import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';

test('a sampling plan: bags planned, labelled, pulled, sent, and back from the lab’s file into field and zones', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/sampling?year=2027`);
	await hydrated(page);
	const bags = page.getByRole('table', { name: 'Bags' });
	await expect(bags.getByRole('row', { name: /27-0001-45/ })).toContainText('sent 19 Nov 2026 to Fenmoor Soil Bench');

	await page.getByRole('tab', { name: /Fields to sample/ }).click();
	await page.getByLabel('Which fields').selectOption('all fields');
	const fields = page.getByRole('table', { name: 'Fields to sample' });
	await fields
		.getByRole('row', { name: /Heronry/ })
		.locator('label')
		.click();
	await page.getByLabel('Depths, in').fill('6-0');
	await page.getByRole('button', { name: 'Plan bags' }).click();
	await expect(page.getByText('The depth “6-0” must be top and bottom (in), as 0-6.')).toBeVisible();
	await page.getByLabel('Depths, in').fill('0-6, 6-24');
	await page.getByRole('button', { name: 'Plan 2 bags' }).click();

	await expect(page.getByText('2 bags are planned.')).toBeVisible();
	const planned = bags.getByRole('row', { name: /Heronry/ });
	await expect(planned).toHaveCount(2);
	for (const row of await planned.all()) await row.locator('label').click();
	await page.getByRole('button', { name: 'Mark as sent' }).click();
	await expect(page.getByText(/is not pulled yet: say first when it was pulled/)).toBeVisible();
	const [labels] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Labels of 2 bags (PDF)' }).click()
	]);
	const words = execFileSync('pdftotext', [await labels.path(), '-'], { encoding: 'utf8' });
	expect(words).toMatch(/27-0005-33[^]*Heronry[^]*whole field[^]*0-6 in, 15 cores/);
	await page.getByLabel('Pulled by, or sent to').fill('Wren Pell');
	await page.getByRole('button', { name: 'Mark as pulled' }).click();
	await expect(planned.first()).toContainText(/pulled .* by Wren Pell/);

	await page.getByRole('link', { name: 'Import a lab file' }).first().click();
	await hydrated(page);
	await page.locator('input[type=file]').setInputFiles('demo/lab-bags-fenmoor.csv');
	await page.waitForURL(/\/import\/.+/);
	await hydrated(page);
	await expect(page.getByRole('row', { name: /Brick Kiln, zone Sand knob/ })).toContainText('18 Nov 2026');
	await page.getByLabel('Lab (its columns are remembered)').fill('Fenmoor Soil Bench');
	await page.getByRole('button', { name: 'Import 3 rows' }).click();
	await expect(page.getByText('In the book: 3 of 3 rows.')).toBeVisible();

	await app.openField('Brick Kiln', 'ground');
	await expect(page.getByText('mean of 3 zones by area, in use')).toBeVisible();
	await expect(page.getByText('Of zones (3)')).toBeVisible();
	await app.openField('Brick Kiln', 'zones');
	// The sand knob by hand: 5 % of a CEC of 6.8 is 0.34 cmol K/kg, 132.9 ppm; 88 are there; (132.9 - 88) x 0.3 x 8 in x 1.2046 = 129.9.
	await page.getByLabel('of', { exact: true }).selectOption('K2O');
	await expect(page.getByRole('button', { name: 'K2O to 5 % of CEC, Bear 1945: 129.9 lb/ac' })).toBeVisible();
	await page.goto(`${app.server.origin}/sampling?year=2027`);
	await hydrated(page);
	await page.getByLabel('Which bags').selectOption('back');
	await expect(bags.getByRole('row', { name: /27-0001-45/ })).toContainText('back from the lab');
	await page.getByRole('button', { name: /^Undo: Imported lab-bags/ }).click();
	await expect(page.getByText('No bag is so.')).toBeVisible();

	await page.getByRole('tab', { name: /Fields to sample/ }).click();
	await page.getByLabel('Which fields').selectOption('all fields');
	await fields
		.getByRole('row', { name: /Heronry/ })
		.locator('label')
		.click();
	await page.getByLabel('A bag of').selectOption('each point of a grid');
	await page.getByLabel('A point for, ac').fill('9');
	await page.getByRole('button', { name: 'Plan about 4 bags' }).click();
	await expect(page.getByText('4 bags are planned.')).toBeVisible();
	const points = bags.getByRole('row', { name: /Heronry point \d/ });
	await expect(points).toHaveCount(4);
	for (const row of await points.all()) await row.locator('label').click();
	const [walk] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Points to walk to (GeoJSON)' }).click()
	]);
	const { features } = JSON.parse(readFileSync(await walk.path(), 'utf8')) as { features: unknown[] };
	expect(features).toHaveLength(4);
	expect(features[0]).toMatchObject({ geometry: { type: 'Point' }, properties: { field: 'Heronry' } });
});
