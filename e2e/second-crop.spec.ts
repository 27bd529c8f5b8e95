import { expect, hydrated, test } from './app';

test('soybean after wheat: planted, its rates beside those of wheat, both in one pass, harvested, undone', async ({
	page,
	app
}) => {
	await app.openField('Mill Strip', 'rates');
	await page.goto(page.url().replace('/2027/', '/2026/'));
	await hydrated(page);
	const fold = page.getByRole('button', { name: /^Second crop after the harvest/ });
	await expect(fold).toHaveText(/none/);
	await fold.focus();
	await page.keyboard.press('Enter');
	const part = page.getByRole('region', { name: 'Second crop' });
	await part.getByLabel('Second crop').selectOption('soybean');
	await part.getByLabel('Its goal, bu/ac').fill('lots');
	await part.getByRole('button', { name: 'Add the second crop' }).click();
	await expect(part.getByText('Its goal “lots” must be a number above 0, at most 100000 bu/ac.')).toBeVisible();
	await part.getByLabel('Its goal, bu/ac').fill('30');
	await part.getByRole('textbox', { name: 'Planted on' }).fill('2026-07-02');
	await page.keyboard.press('Tab');
	await part.getByRole('button', { name: 'Add the second crop' }).click();
	await expect(fold).toHaveText(/soybean, 30 bu\/ac/);
	await expect(part.getByText('Soybean fixes its own nitrogen')).toBeVisible();
	// 30 bu x 1.17 lb K2O: IPNI tables, from memory.
	await expect(part.getByRole('row', { name: /^K2O Replace removal/ })).toContainText('35.1 lb/ac');

	const potash = page.getByRole('region', { name: 'Potash' });
	await potash.getByRole('button', { name: 'Details' }).click();
	await potash.getByRole('button', { name: 'Choose both crops' }).first().click();
	await expect(page.getByRole('link', { name: /^Rates .*K / })).toBeVisible();

	await page.getByRole('link', { name: /^Scouting and records/ }).click();
	await page.getByLabel('Soybean harvested, bu/ac').fill('27');
	await page.getByRole('button', { name: 'Save its harvest' }).click();
	const balance = page.getByRole('region', { name: 'Nutrient balance' });
	await expect(balance.getByRole('row', { name: /2026 Winter wheat, then soybean/ })).toBeVisible();
	await expect(page.getByRole('row', { name: /Set soybean as second crop of 2026/ })).toHaveCount(2);
	await page.keyboard.press('Control+z');
	await expect(page.getByLabel('Soybean harvested, bu/ac')).toHaveValue('');
});

test('the nitrogen of a second crop is settled with its reason, proposed by its own days, and on the sheet', async ({
	page,
	app
}) => {
	await app.openField('Long Meadow', 'rates');
	const part = page.getByRole('region', { name: 'Second crop' });
	await part.getByLabel('Second crop').selectOption('corn-grain');
	await part.getByLabel('Its goal, bu/ac').fill('110');
	await part.getByRole('button', { name: 'Save the second crop' }).click();
	await part.getByLabel('Nitrogen for corn').selectOption('own rate');
	await part.getByLabel('Own rate, lb/ac').fill('90');
	await part.getByRole('button', { name: 'Save the second crop' }).click();
	await expect(part.getByText('Say why: the reason stands on the sheet.')).toBeVisible();
	await part.getByLabel('Because').fill('Dry July');
	await part.getByRole('button', { name: 'Save the second crop' }).click();
	await expect(part.getByText(/N for corn: 90 lb\/ac, by the adviser: Dry July/)).toBeVisible();

	await page.getByRole('link', { name: /^Season/ }).click();
	await page.getByRole('button', { name: /^Propose/ }).click();
	await expect(page.getByRole('row', { name: /Side-dress at V5 to V7, corn/ })).toContainText('N 90');
	await page.getByRole('link', { name: /^Sheet/ }).click();
	await expect(page.getByRole('article', { name: 'Sheet' })).toContainText(
		'N for corn 90 lb/ac by the adviser: Dry July'
	);
});
