import { readFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';

test('a report of well water: indices, acid with its caution, what it brings, and what is wrong with a value', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/water`);
	await hydrated(page);
	const report = page.getByRole('region', { name: 'Report' });
	const says = page.getByRole('region', { name: 'What it says' });
	await expect(says).toContainText('Nothing is typed in yet');
	await report.getByLabel('Ca to NO3-N are in').selectOption('meq/L');
	const values = { 'EC, dS/m': '1.2', pH: '7.8', 'Ca, meq/L': '3.2', 'Mg, meq/L': '1.9', 'Na, meq/L': '6.5' };
	for (const [label, value] of Object.entries(values)) await report.getByLabel(label, { exact: true }).fill(value);
	await expect(says.getByText('Sodium adsorption ratio', { exact: true }).locator('..')).toContainText('4.07');
	await expect(says).toContainText('the report gives no bicarbonate');
	await report.getByLabel('HCO3, meq/L', { exact: true }).fill('four');
	await expect(says.getByRole('alert')).toHaveText('HCO3 “four” must be a number from 0 to 100000.');
	await report.getByLabel('HCO3, meq/L', { exact: true }).fill('4');
	await report.getByLabel('NO3-N, meq/L', { exact: true }).fill('0.36');
	await report.getByLabel('Crop').selectOption('Almond');
	await report.getByLabel('Salt of the soil, ECe, dS/m').fill('2.5');
	await report.getByLabel('pH to bring it to').fill('6.5');
	await report.getByLabel('Water put on, in').fill('36');
	await expect(says).toContainText('1.58 meq/L');
	await expect(says).toContainText('never in one tank with calcium nitrate');
	await expect(says.getByText('Yield in this soil', { exact: false }).locator('..')).toContainText('81 %');
	const ways = says.getByRole('table', { name: 'Acid over the season' });
	await expect(ways.getByRole('row', { name: /^All but 1 meq\/L/ })).toContainText('75 %');
	await report.getByLabel('Irrigations a week').fill('3');
	await report.getByLabel('Sulfuric acid, 100 %, $/lb').fill('0.2');
	await expect(ways.getByRole('row', { name: /one irrigation a week/ })).toContainText('$42.19');
	await says
		.getByRole('button', { name: /1.58 meq\/L/ })
		.first()
		.click();
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toContainText('Alk - C x f(target)');
});

test('a report saved under a source: its nitrate goes off the rate of the field that is irrigated from it', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/water`);
	await hydrated(page);
	const sources = page.getByRole('table', { name: 'Sources of water' });
	await sources.getByRole('button', { name: 'Saltlick creek', exact: true }).click();
	const report = page.getByRole('region', { name: 'Report' });
	await expect(report.getByLabel('Ca, ppm', { exact: true })).toHaveValue('34');
	await report.getByLabel('NO3-N, ppm', { exact: true }).fill('12');
	await report.getByLabel('Source').selectOption('a new one');
	await report.getByRole('button', { name: 'Save the report' }).click();
	await expect(report).toContainText('Name the source');
	await report.getByLabel('Name of the source').fill('North well');
	await report.getByRole('button', { name: 'Save the report' }).click();
	await expect(sources.getByRole('row', { name: /North well/ })).toContainText('12');

	await app.openField('Almond Reach, old', 'ground');
	const irrigation = page.getByRole('region', { name: 'Irrigation' });
	await expect(irrigation.getByRole('row', { name: /^Year 36/ })).toContainText('40.8');
	await irrigation.getByRole('button', { name: 'Change the irrigation' }).click();
	await irrigation.getByLabel('Source').selectOption('North well');
	await irrigation.getByLabel('Jun, in').fill('a lot');
	await irrigation.getByRole('button', { name: 'Save the irrigation' }).click();
	await expect(irrigation).toContainText('Jun “a lot” must be in of water, 0 to 40.');
	await irrigation.getByLabel('Jun, in').fill('2');
	await irrigation.getByRole('button', { name: 'Save the irrigation' }).click();
	// 30 in of 12 ppm: 81.6 lb.
	await expect(irrigation.getByRole('row', { name: /^Year 30/ })).toContainText('81.6');
	await page.getByRole('button', { name: /^Undo: Changed the irrigation/ }).click();
	await expect(irrigation.getByRole('row', { name: /^Year 36/ })).toContainText('40.8');
	await app.openField('Almond Reach, old', 'reading');
	await expect(page.getByText('36 in of water of Reach well bring 497')).toBeVisible();
});

test('almonds fertigated from the well: potassium nitrate limits the tank, phosphate is stopped, sulfuric acid stays out of calcium nitrate', async ({
	page,
	app
}) => {
	await app.openField('Almond Reach, old', 'supply');
	await page.getByRole('link', { name: 'Stock tanks and injection' }).click();
	await hydrated(page);
	const doses = page.getByRole('region', { name: 'Doses' });
	const stock = page.getByRole('region', { name: 'Stock and injection' });
	await expect(stock.getByRole('alert')).toHaveText('No dose goes with the water yet: add one.');
	const add = (name: string) => doses.getByLabel('Add a product').selectOption({ label: name });
	await add('Potassium nitrate 13-0-46');
	await doses.getByLabel('Potassium nitrate 13-0-46, lb/ac').fill('60');
	await doses.getByLabel('A tank holds, gal').fill('300');
	await expect(stock).toContainText('Potassium nitrate 13-0-46 limits tank A: 1440 lb make 546 gal');
	await expect(stock.getByRole('table', { name: 'Stock tanks' }).getByRole('row').nth(1)).toContainText('34.1 gal/h');
	await add('Calcium nitrate 15.5-0-0-19Ca');
	await add('Sulfuric acid 93 %');
	await expect(stock).not.toContainText('must not meet');
	await doses.getByLabel('Tank of Sulfuric acid 93 %').selectOption('B');
	await expect(stock).toContainText(
		'Calcium nitrate 15.5-0-0-19Ca and Sulfuric acid 93 % must not meet in tank B: its calcium falls out with sulfate as gypsum.'
	);
	await doses.getByLabel('Tank of Sulfuric acid 93 %').selectOption('C');
	await add('Monopotassium phosphate 0-52-34');
	await expect(stock).toContainText('Phosphate in this water falls out with its calcium (64.1 ppm at pH 7.8)');
	await doses.getByLabel('pH in the line, with acid').fill('6.5');
	await expect(stock).not.toContainText('falls out with its calcium (');
	const card = page.waitForEvent('download');
	await stock.getByRole('link', { name: 'Print the card' }).click();
	expect((await card).suggestedFilename()).toBe('stock-tanks.pdf');
});

test('water reports of a file: one fault takes none in; then their sources, and every crop under one of them', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/water`);
	await hydrated(page);
	const take = async (text: string) => {
		const chooser = page.waitForEvent('filechooser');
		await page.getByText('Import reports (CSV)').click();
		await (await chooser).setFiles({ name: 'water.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
	};
	const good = readFileSync('demo/water-fenmoor.csv', 'utf8');
	const sources = page.getByRole('table', { name: 'Sources of water' });
	await take(good.replace('8.0', '80'));
	await expect(page.getByRole('alert')).toContainText('line 4 ph: “80” must be from 3 to 11');
	await expect(sources.getByRole('row', { name: /Bittern well/ })).toHaveCount(0);
	await take(good);
	await expect(
		page.getByText('3 imported from water.csv, 0 passed over that the book had; new sources: 2.')
	).toBeVisible();
	await take(good);
	await expect(page.getByText('0 imported from water.csv, 3 passed over')).toBeVisible();

	await sources.getByRole('button', { name: 'Reach well', exact: true }).first().click();
	const crops = page.getByRole('table', { name: 'Crops with this water' });
	// 1.2 dS/m makes soil of 1.8: 100 - 19 x 0.3.
	const first = crops.getByRole('row').nth(1);
	await expect(first).toContainText('grown with it');
	await expect(first).toContainText('94.3 %');
	await expect(crops.getByRole('row', { name: /^Corn / }).first()).toContainText('98.8 %');
	await expect(crops.getByRole('row', { name: /^Avocado/ })).toContainText('no firm pair of threshold and slope');
});
