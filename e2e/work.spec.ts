import { expect, hydrated, test } from './app';

test('many fields: a house programme previewed, saved once, named on the field, undone once; sheets for those chosen', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/`);
	await hydrated(page);
	await page.getByRole('link', { name: 'Work on many fields' }).click();
	await hydrated(page);
	await page.getByLabel('What to do').selectOption('Take a house programme');
	const list = page.getByRole('table', { name: 'Fields' });
	const grower = page.getByLabel('Grower', { exact: true });
	await expect(page.getByRole('button', { name: 'Preview on 0 fields' })).toBeDisabled();
	// What is chosen under one filter stays chosen under another; what a filter hides is not worked on.
	for (const name of ['Tarrow & Daughters', 'Quillet Bros']) {
		await grower.selectOption(name);
		await list.locator('thead label').first().click();
		await expect(page.getByText('4 of 4 fields chosen')).toBeVisible();
	}
	await grower.selectOption('all growers');
	await expect(page.getByText('8 of 21 fields chosen')).toBeVisible();
	await grower.selectOption('Quillet Bros');
	await page.getByRole('button', { name: 'Preview on 4 fields' }).click();

	const preview = page.getByRole('table', { name: 'What becomes of each field' });
	await expect(preview.getByRole('row', { name: /Heronry/ })).toContainText('Corn on light soil');
	await expect(preview.getByRole('row', { name: /Brick Kiln/ })).toContainText(/Soybean; P2O5 .*; 1 pass/);
	await page.getByRole('button', { name: 'Save on 4 fields' }).click();
	await expect(page.getByText('4 fields changed')).toBeVisible();
	await expect(list.getByRole('row', { name: /Heronry/ })).toContainText('Corn on light soil');

	await list.getByRole('link', { name: 'Old Orchard Piece' }).click();
	await expect(page.getByRole('heading', { name: /Old Orchard Piece/ })).toBeVisible();
	await page.goBack();
	await expect(list.getByRole('row', { name: /Heronry/ })).toContainText('Corn on light soil');
	await app.openField('Old Orchard Piece', 'rates');
	await expect(page.getByText(/Corn on heavy soil, version 1, taken on/)).toBeVisible();
	await page.goto(`${app.server.origin}/work`);
	await hydrated(page);
	await page.getByRole('button', { name: /^Undo: Took house programmes on 4 fields/ }).click();
	await expect(list.getByRole('row', { name: /Heronry/ })).not.toContainText('Corn on light soil');

	await page.getByLabel('What to do').selectOption('Issue sheets');
	await page.getByLabel('Grower', { exact: true }).selectOption('Quillet Bros');
	await list.locator('thead label').first().click();
	await page.getByRole('button', { name: 'Issue sheets of 4 fields' }).click();
	await expect(page.getByText(/^\d sheets issued\.$/)).toBeVisible();
	await expect(page.getByText(/^Old Orchard Piece: The plan has no passes yet/)).toBeVisible();
	await expect(page.getByRole('link', { name: /^Work orders of \d sheets \(PDF\)$/ })).toBeVisible();
});

test('the next year by rotation and harvests; a pasted list with a wrong line is refused with the line', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/work?year=2028`);
	await hydrated(page);
	const list = page.getByRole('table', { name: 'Fields' });
	await list
		.getByRole('row', { name: /Brick Kiln/ })
		.locator('label')
		.click();
	await list
		.getByRole('row', { name: /Mill Strip/ })
		.locator('label')
		.click();
	await page.getByLabel('What to do').selectOption('Set crop and goal by a list');
	await page.getByLabel('A line for each field: name, crop, goal').fill('Brick Kiln, corn, 180\nMill Strip, maize, 1');
	await page.getByRole('button', { name: 'Preview on 2 fields' }).click();
	await expect(page.getByText(/line 2 "maize" is no crop the program knows/)).toBeVisible();

	await page.getByLabel('What to do').selectOption('Set crop and goal');
	await page.getByRole('button', { name: 'Preview on 2 fields' }).click();
	const preview = page.getByRole('table', { name: 'What becomes of each field' });
	await expect(preview.getByRole('row', { name: /Brick Kiln/ })).toContainText(
		'Corn 181 bu/ac (mean of the last 2 harvests); after soybean'
	);
	await page.getByRole('button', { name: 'Back, change nothing' }).click();
	await expect(list.getByRole('row', { name: /Brick Kiln/ })).toContainText('none');
});

test('a house programme is written, what it lacks is said, and it is changed into a version', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/programmes`);
	await hydrated(page);
	await page.getByRole('button', { name: 'Write a programme' }).click();
	const form = page.getByRole('form', { name: 'House programme' });
	await form.getByLabel('Name').fill('Canola');
	await form.getByRole('button', { name: 'Save the programme' }).click();
	await expect(form.getByRole('alert')).toContainText('Say for which crops it is.');
	await form.getByRole('combobox', { name: /Crops/ }).click();
	await form.getByRole('option', { name: 'Canola', exact: true }).click();
	await page.keyboard.press('Escape');
	await form.getByLabel('First choice for N').selectOption({ index: 1 });
	await form.getByRole('button', { name: 'Save the programme' }).click();
	const row = page.getByRole('row', { name: /^Canola version 1/ });
	await expect(row).toBeVisible();
	await row.getByRole('button', { name: 'Edit Canola' }).click();
	await form.getByLabel('Dry products to, lb/ac').fill('10');
	await form.getByRole('button', { name: 'Save as the next version' }).click();
	await expect(page.getByRole('row', { name: /^Canola version 2/ })).toBeVisible();
});
