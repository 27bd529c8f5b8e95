import { expect, hydrated, test } from './app';

test('leaf tests: a bad spot beside a good one, another stage that is not read, and one typed in', async ({
	page,
	app
}) => {
	await app.openField('Brick Kiln', 'reading');
	const log = page.getByRole('region', { name: 'Leaf tests' });
	const bad = log.getByRole('article', { name: /9 Jul 2025, soybean at R1, bad spot/ });
	await expect(bad).toContainText('P differs most between the spots');
	await expect(bad).toContainText('No rescue of P is known to pay');
	const leaves = bad.getByRole('table', { name: /Leaves of the bad spot/ });
	await expect(leaves.getByRole('row').nth(1)).toContainText('P0.24 %0.34 %0.42 higher');
	await expect(
		bad.getByRole('table', { name: /Soil of the bad spot/ }).getByRole('row', { name: /^phosphorus 8 ppm 21 ppm/ })
	).toBeVisible();
	await expect(bad).toContainText('The soil agrees: P is 8 ppm in the bad spot');
	const values = bad.getByRole('table', { name: /^Values of/ });
	await expect(values.getByRole('row', { name: /^P 0.24 %/ })).toContainText('0.26 to 0.5 %');
	await expect(log.getByRole('article', { name: /soybean at R4/ })).toContainText('It is not read against them');

	await log.getByRole('button', { name: 'Type in another' }).click();
	const form = log.getByRole('form', { name: 'Leaf test' });
	await expect(form.getByLabel('Leaves')).toHaveValue('top full trifoliate without stalk');
	await form.getByRole('button', { name: 'Save the leaf test' }).click();
	await expect(form).toContainText('Type in at least one element');
	await form.getByLabel('Mn, ppm').fill('many');
	await form.getByRole('button', { name: 'Save the leaf test' }).click();
	await expect(form).toContainText('Mn “many” must be ppm above 0');
	await form.getByLabel('Mn, ppm').fill('15');
	await form.getByLabel('Picked on').fill('2026-07-07');
	await form.getByLabel('Picked on').press('Tab');
	await form.getByRole('button', { name: 'Save the leaf test' }).click();
	const own = log.getByRole('article', { name: /7 Jul 2026/ });
	await expect(own).toContainText('Mn is 15 ppm, below 21 ppm');
	await expect(own).toContainText('can still be put right this season');

	await own.getByRole('button', { name: /What to do with the leaf test/ }).click();
	await page.getByRole('menuitem', { name: 'Delete' }).click();
	await expect(own).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo: Deleted a leaf test/ }).click();
	await expect(own).toContainText('Mn is 15 ppm');
});

test('two bad spots picked on one day leave Rates and Sheet as they are', async ({ page, app }) => {
	const id = await app.fieldId('Almond Reach, old');
	for (const N of [2.1, 2]) {
		const leaves = { crop: 'almond', part: 'spur leaves', stage: 'July', spot: 'bad', results: { N, K: 1 } };
		expect((await app.post(`/api/fields/${id}/leaf-tests`, { takenOn: '2026-07-12', ...leaves })).status).toBe(200);
	}
	await app.openField('Almond Reach, old', 'rates');
	await expect(page.getByRole('heading', { name: 'Rates compared' })).toBeVisible();
	await expect(page.getByText(/almond at July, bad spot/i)).toHaveCount(2);
	const drip = {
		id: 'x',
		date: '2027-04-10',
		label: 'UAN',
		product: 'uan-32',
		rate: 60,
		unit: 'lb/ac',
		placement: 'drip'
	};
	const added = [{ ...drip, reason: '' }];
	expect((await app.post(`/api/fields/${id}/2027/passes`, { removed: [], added })).status).toBe(200);
	await app.openField('Almond Reach, old', 'sheet');
	await expect(page.getByText(/almond at July, bad spot/i).first()).toBeVisible();
});

test('a leaf test of an orchard in the log moves its rates, until one is typed for the year', async ({ page, app }) => {
	const id = await app.fieldId('Almond Reach, old');
	expect((await app.post(`/api/fields/${id}/2027/block`, { blockYear: {} }, 'PUT')).status).toBe(200);
	await app.openField('Almond Reach, old', 'rates');
	await expect(page.getByRole('button', { name: 'Leaf test and days of the season' })).toBeVisible();
	const test = { crop: 'almond', part: 'spur leaves', stage: 'July', spot: 'whole', results: { N: 2.05, K: 1.1 } };
	expect((await app.post(`/api/fields/${id}/leaf-tests`, { takenOn: '2026-07-16', ...test })).status).toBe(200);
	await page.reload();
	await expect(
		page.getByRole('button', { name: /^Leaf test of 16 Jul, from the log under Reading: N 2.05 %/ })
	).toBeVisible();
	await app.openField('Almond Reach, old', 'reading');
	await expect(page.getByText('Leaf K of 16 Jul 2026 is 1.1 %, below 1.4 %')).toBeVisible();
});

test('a leaf test of palms asks for no stage, because their ranges go by age', async ({ page, app }) => {
	await app.openField('Lagoon One', 'reading');
	await hydrated(page);
	const log = page.getByRole('region', { name: 'Leaf tests' });
	await log.getByRole('button', { name: 'Type in a leaf test of oil palm' }).click();
	const form = log.getByRole('form', { name: 'Leaf test' });
	await expect(form.getByLabel('Leaves')).toHaveValue('frond 17');
	await expect(form.getByLabel('Stage or month')).toHaveCount(0);
	await form.getByLabel('N, %').fill('2.2');
	await form.getByRole('button', { name: 'Save the leaf test' }).click();
	const values = log.getByRole('table', { name: /^Values of/ });
	await expect(values.getByRole('row', { name: /^N 2.2 %/ })).toContainText('from 2.3 %');
});

test('a lab’s file of leaf tests: known by its header, one value that cannot be, read in its field, and undone', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/import`);
	await hydrated(page);
	await page.locator('input[type=file]').setInputFiles('demo/leaf-fenmoor.csv');
	await expect(page.getByLabel('The file holds')).toHaveValue('leaf');
	await page.getByLabel('Lab (its columns are remembered)').fill('Fenmoor Soil Bench');
	const rows = page.getByRole('table', { name: 'Rows of the file' });
	await expect(rows.getByRole('row').nth(1)).toContainText('N: “46” % cannot be');
	await expect(page.getByRole('button', { name: 'Import 4 rows' })).toBeDisabled();
	await page.getByLabel('Write line 8, N (%) again').fill('4.6');
	await page.getByLabel('Write line 8, N (%) again').press('Tab');
	await page.getByRole('button', { name: 'Import 5 rows' }).click();
	await expect(page.getByText('In the book: 5 of 5 rows')).toBeVisible();

	await app.openField('Long Meadow', 'reading');
	const log = page.getByRole('region', { name: 'Leaf tests' });
	await expect(log.getByRole('article', { name: /21 Jul 2026, soybean at R1, bad spot/ })).toContainText(
		'K differs most between the spots'
	);
	await app.openField('Heronry', 'reading');
	await expect(log.getByRole('article', { name: /soybean at R4/ })).toContainText('It is not read against them');
	await page.goto(`${app.server.origin}/import`);
	await hydrated(page);
	await page.getByRole('button', { name: /^Undo: Imported leaf-fenmoor.csv/ }).click();
	await expect(page.getByRole('button', { name: /^Undo: Imported/ })).toHaveCount(0);
	await app.openField('Heronry', 'reading');
	await expect(log.getByRole('article')).toHaveCount(0);
});

test('a soil sample of a bad spot is kept beside the leaves, not under the rates', async ({ page, app }) => {
	await app.openField('Brick Kiln', 'ground');
	await expect(page.getByText('5 Oct 2026').first()).toBeVisible();
	await page.getByRole('button', { name: 'Of good and bad spots (2)' }).click();
	await expect(page.getByText('Fenmoor Soil Bench, no. 771, bad spot')).toBeVisible();
});
