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
