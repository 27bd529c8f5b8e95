import { expect, hydrated, test } from './app';

test('the season day by day follows a pass that is moved, in a normal, wet or dry year', async ({ page, app }) => {
	await app.openField('Crow Acre', 'season');
	const run = page.getByRole('region', { name: 'Day by day' });
	const washed = run.getByRole('row', { name: /^Washed out below 3 ft/ });
	await expect(run.getByRole('img', { name: /Nitrogen in the ground against what the crop wants/ })).toBeVisible();
	await expect(run).toContainText('A screening model');
	await expect(run.getByRole('row', { name: /^Applied/ })).toContainText('177');
	const normal = (await washed.textContent()) ?? '';
	await run.getByLabel('in a made-up year that is').selectOption('wet');
	await expect(page).toHaveURL(/weather=wet/);
	await expect(washed).not.toHaveText(normal);
	await page.goBack();
	await expect(washed).toHaveText(normal);
	await washed.getByRole('button').click();
	await expect(page.getByRole('complementary', { name: 'Worksheet' })).toContainText(
		'daily model of nitrogen and water'
	);
});

test('an inhibitor and a depth stand on the pass, its checks and the sheet', async ({ page, app }) => {
	await app.openField('Crow Acre', 'season');
	await page
		.getByRole('row', { name: /Side-dress at V5/ })
		.getByRole('button', { name: 'Change' })
		.click();
	await page.getByLabel('Placement').selectOption('injected');
	await page.getByLabel('Depth, in').fill('deep');
	await page.getByLabel('Inhibitor').selectOption('urease inhibitor');
	await page.getByRole('button', { name: 'Keep the pass' }).click();
	await expect(page.getByText('The depth “deep” must be a number of inches from 0 to 24.')).toBeVisible();
	await page.getByLabel('Depth, in').fill('5');
	await page.getByRole('button', { name: 'Keep the pass' }).click();
	const row = page.getByRole('row', { name: /Side-dress at V5/ });
	await expect(row).toContainText('injected, 5 in deep, with urease inhibitor');
	await expect(row).toContainText('Inhibitors: at the label rate only');
	await expect(page.getByText('where urea loses next to no ammonia: a urease inhibitor guards nothing')).toBeVisible();
	await page.getByRole('button', { name: 'Leave the urease inhibitor out' }).click();
	await expect(row).not.toContainText('urease inhibitor');
	await page.getByRole('button', { name: /^Undo: Leave the urease/ }).click();
	await expect(row).toContainText('with urease inhibitor');
	await app.openField('Crow Acre', 'sheet');
	await expect(page.getByText('injected, 5 in deep, with urease inhibitor').first()).toBeVisible();
});

test('autumn ammonia into warm soil is stopped, and its remedy moves it', async ({ page, app }) => {
	const id = await app.fieldId('Crow Acre');
	const pass = {
		id: 'autumn',
		date: '2026-10-05',
		label: 'Autumn ammonia',
		product: 'ammonia',
		rate: 180,
		unit: 'lb/ac',
		placement: 'injected',
		depthIn: 7,
		reason: ''
	};
	await app.post(`/api/fields/${id}/2027/passes`, { label: 'Added', removed: [], added: [pass] });
	await app.openField('Crow Acre', 'season');
	await expect(
		page.getByText(/The soil at 4 in is usually \d+ F on 2026-10-05: wait until it is below 50 F/)
	).toBeVisible();
	await expect(page.getByRole('row', { name: /Autumn ammonia/ })).toContainText('goggles, gloves, water within reach');
	await page.getByRole('button', { name: /^Move it to 2026-1/ }).click();
	await expect(page.getByText(/The soil at 4 in is usually/)).toHaveCount(0);
});

test('two hundred seasons in a worker, with alternatives, progress and cancel', async ({ page, app }) => {
	await app.openField('Crow Acre', 'season');
	await hydrated(page);
	const many = page.getByRole('region', { name: 'Many seasons' });
	await many.getByRole('button', { name: 'Try 200 seasons' }).click();
	const table = many.getByRole('table', { name: 'What each programme came to' });
	for (const name of ['This plan', 'All at once, early', 'Split', 'In 4 parts']) {
		await expect(table.getByRole('row', { name: new RegExp(`^${name}`) })).toBeVisible({ timeout: 20_000 });
	}
	await many.getByRole('button', { name: 'Try 200 seasons' }).click();
	await expect(many.getByRole('progressbar')).toBeVisible();
	await many.getByRole('button', { name: 'Cancel' }).click();
	await expect(many.getByRole('progressbar')).toHaveCount(0);
	await expect(table).toHaveCount(0);
});

test('a pass moves with the arrow keys, one undo for keys in a row, and the season follows', async ({ page, app }) => {
	await app.openField('Crow Acre', 'season');
	const applied = page.getByRole('region', { name: 'Day by day' }).getByRole('row', { name: /^Washed out below 3 ft/ });
	const before = (await applied.textContent()) ?? '';
	const date = page.getByRole('button', { name: /^Starter beside the row on/ });
	await expect(date).toHaveText('3 May 2027');
	await date.focus();
	for (const key of ['Shift+ArrowLeft', 'Shift+ArrowLeft', 'Shift+ArrowLeft', 'ArrowRight'])
		await page.keyboard.press(key);
	await expect(date).toHaveText('13 Apr 2027');
	await expect(page.getByRole('button', { name: 'Undo: Moved Starter beside the row to 2027-04-13' })).toBeVisible();
	await expect(applied).not.toHaveText(before);
	await expect(date).toBeFocused();
	await page.keyboard.press('Control+z');
	await expect(date).toHaveText('3 May 2027');
	await expect(applied).toHaveText(before);
});
