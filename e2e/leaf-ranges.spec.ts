import { expect, hydrated, test } from './app';
import { act } from './row-menu';

test('leaf ranges: what to pick is drawn, own ones stand in place of the program’s, a wrong file changes nothing', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/leaf-ranges`);
	await hydrated(page);
	const list = page.getByRole('table', { name: 'Leaf ranges' });
	const soybean = list.getByRole('row', { name: /Soybean/ });
	await soybean.getByRole('button', { name: 'Expand current row' }).click();
	await expect(page.getByRole('img', { name: /uppermost full-grown leaf of three leaflets is marked/ })).toBeVisible();
	await expect(page.getByText('About 20 make a sample.')).toBeVisible();

	await act(soybean, 'Edit as your own');
	const form = page.getByRole('form', { name: 'Leaf ranges of your own' });
	await expect(form.getByLabel('P from')).toHaveValue('0.26');
	await form.getByLabel('P from').fill('0.6');
	await form.getByRole('button', { name: 'Save the ranges' }).click();
	await expect(form).toContainText('P: the upper end “0.5” must be % above its lower end of 0.6.');
	await form.getByLabel('P from').fill('0.2');
	await form.getByRole('button', { name: 'Save the ranges' }).click();
	await expect(
		page.getByRole('status').filter({ hasText: 'saved; leaf tests are read against them now' })
	).toBeVisible();
	await expect(list.getByRole('row', { name: /your own/ })).toContainText('0.2');
	await expect(list.getByRole('row', { name: /yours stands in its place/ })).toBeVisible();

	// 0.24 % of the bad spot is low no more.
	await app.openField('Brick Kiln', 'reading');
	const bad = page.getByRole('article', { name: /9 Jul 2025, soybean at R1, bad spot/ });
	await expect(bad).toContainText('P differs most between the spots');
	await expect(bad).toContainText('Set by the adviser');
	await expect(bad).not.toContainText('No rescue of P');

	await page.goto(`${app.server.origin}/leaf-ranges`);
	await hydrated(page);
	const take = async (name: string, text: string) => {
		const chooser = page.waitForEvent('filechooser');
		await page.getByText('Import ranges (JSON)').click();
		await (await chooser).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
	};
	await take('ranges.json', 'low,high');
	await expect(page.getByRole('alert')).toContainText('ranges.json is no JSON');
	const petiole = { crop: 'soybean', part: 'petiole', when: 'full bloom', basis: 'adviser' };
	await take('two.json', JSON.stringify({ ranges: [{ ...petiole, ranges: { K: { low: 5, high: 3 } } }] }));
	await expect(page.getByRole('alert')).toContainText('K ends at 3, which must be above its lower end of 5');
	await take('two.json', JSON.stringify({ ranges: [{ ...petiole, ranges: { K: { low: 3, high: 5 } } }] }));
	await expect(list.getByRole('row', { name: /petiole/ })).toContainText('your own');
	await act(list.getByRole('row', { name: /your own/ }).filter({ hasText: 'trifoliate' }), 'Delete');
	await expect(list.getByText('yours stands in its place')).toHaveCount(0);
});

test('a leaf spray as a pass: too strong a spray is stopped, more water puts it right, and leaf findings stand on the sheet', async ({
	page,
	app
}) => {
	await app.openField('Brick Kiln', 'season', 2026);
	await page.getByRole('button', { name: 'Add a pass' }).first().click();
	const form = page.getByRole('dialog', { name: 'Add a pass' });
	await form.getByLabel('Pass', { exact: true }).fill('Late potash');
	await form.getByLabel('Date').fill('2026-07-10');
	await form.getByLabel('Date').press('Tab');
	await form.getByLabel('Product', { exact: true }).selectOption({ label: 'Potassium nitrate 13-0-46' });
	await form.getByLabel('Product rate, lb/ac').fill('5');
	await form.getByLabel('Placement').selectOption({ label: 'leaf' });
	await form.getByLabel('Water of the spray, gal/ac').fill('lots');
	await form.getByRole('button', { name: 'Save the pass' }).click();
	await expect(form).toContainText('Water of the spray “lots” must be a number above 0, at most 2000 gal/ac.');
	await form.getByLabel('Water of the spray, gal/ac').fill('');
	await form.getByRole('button', { name: 'Save the pass' }).click();
	await expect(form).toBeHidden();
	const strong = page.getByText(
		/Potassium nitrate 13-0-46 is 3(.00)? % of a spray in 20 gal\/ac of water: above 2 % it burns/
	);
	await expect(strong.first()).toBeVisible();
	await expect(page.getByText('Strength of the spray')).toBeVisible();
	await expect(page.getByText(/In Jul it usually warms to/).first()).toBeVisible();
	await page.getByRole('button', { name: 'Spray it in 30 gal/ac of water' }).first().click();
	await expect(strong).toHaveCount(0);

	await app.openField('Brick Kiln', 'sheet', 2026);
	const sheet = page.getByRole('article', { name: 'Sheet' });
	await expect(sheet).toContainText('From the leaf tests');
	await expect(sheet).toContainText('P is 0.24 %, below 0.26 %');
	await app.openField('Brick Kiln', 'rates', 2026);
	await expect(page.getByRole('region', { name: 'From the leaf tests' })).toContainText('The soil agrees');
});
