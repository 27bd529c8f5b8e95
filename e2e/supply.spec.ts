import { execFileSync } from 'node:child_process';
import { expect, hydrated, test } from './app';

test('the cheapest mix takes the place of passes, exact or as it can be bought, and can be undone', async ({
	page,
	app
}) => {
	await app.openField('Crow Acre', 'supply');
	await hydrated(page);
	const mix = page.getByRole('region', { name: 'Mix' });
	await expect(mix).toContainText('It must supply 19.1 lb N, 90.5 lb P2O5, 70.7 lb K2O an acre.');
	await mix.getByLabel('May miss each by, %').fill('lots');
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	await expect(mix.getByRole('alert')).toHaveText('Tolerance: “lots” must be a number from 0 to 50.');
	await mix.getByLabel('May miss each by, %').fill('');
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	const table = mix.getByRole('table', { name: 'The mix' });
	await expect(table.getByRole('row', { name: /^MAP/ })).toBeVisible();
	await expect(mix).toContainText(/1 batch weighed to 50 lb, 17\.5 ac each: it costs \$0\.60\/ac more/);
	await expect(table.getByRole('row', { name: /^MAP/ })).toContainText('3050');
	await mix.getByLabel('Bought').selectOption({ label: 'in steps of lb/ac' });
	await mix.getByLabel('At most chloride, lb/ac').fill('10');
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	await expect(table.getByRole('row', { name: /^Sulfate of potash/ })).toBeVisible();
	await mix.getByLabel('At most chloride, lb/ac').fill('');
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	await expect(table.getByRole('row', { name: /^Sulfate of potash/ })).toHaveCount(0);
	await expect(mix).toContainText(/In steps of 5 lb\/ac: it costs \$\d+\.\d\d\/ac more/);
	await expect(mix).toContainText(/The last pound of K2O costs \$0\.3\d/);
	await mix.getByRole('button', { name: 'Put it in as bought' }).click();
	await expect(page.getByRole('button', { name: 'Undo: Put a mix into the plan' })).toBeVisible();
	await app.openField('Crow Acre', 'season');
	await expect(page.getByRole('row', { name: /Mix, part 1/ })).toContainText(
		'Least-cost mix in place of P before planting, K before planting'
	);
	await hydrated(page);
	await expect(page.getByRole('row', { name: /Mix, part 1/ })).toContainText(
		'In steps of 5 lb/ac at $93.43/ac; exact 174 MAP 11-52-0'
	);
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('row', { name: /Mix, part 1/ })).toHaveCount(0);
});

test('a mix that cannot be had names the demand in the way', async ({ page, app }) => {
	await app.openField('Crow Acre', 'supply');
	await hydrated(page);
	const mix = page.getByRole('region', { name: 'Mix' });
	await mix.getByText(/^Products on the shelf/).click();
	for (const name of [/^Muriate of potash/, /^Sulfate of potash/, /^Potassium magnesium/, /^Potassium-magnesium/]) {
		const box = mix.getByLabel(name);
		if ((await box.count()) === 0) continue;
		await mix.locator('.shelf label').filter({ hasText: name }).click();
		await expect(box).not.toBeChecked();
	}
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	await expect(mix).toContainText('No mix of these products does it.');
	await expect(mix).toContainText('K2O: none of these products holds any; 70.7 lb/ac are wanted.');
});

test('a manure with its analysis becomes a product, is rated by its limiting nutrient and reaches next year', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/products`);
	await hydrated(page);
	const form = page.getByRole('region', { name: 'Manure' });
	await form.getByLabel('Name').fill('Litter, house 2');
	await form.getByLabel('How it goes on').selectOption({ label: 'worked in within 12 hours' });
	await form.getByLabel('Total N, lb/ton').fill('60');
	await form.getByLabel(/^Ammonium N/).fill('much');
	await form.getByLabel('P2O5, lb/ton').fill('55');
	await form.getByLabel('K2O, lb/ton').fill('45');
	await form.getByRole('button', { name: 'Save to the catalogue' }).click();
	await expect(form.getByText('Must be a number from 0 to 300 lb/ton.', { exact: true })).toBeVisible();
	await expect(form.getByText('Ammonium N “much” must be a number from 0 to 300 lb/ton.')).toBeVisible();
	await form.getByLabel(/^Ammonium N/).fill('10');
	await expect(form).toContainText('34 lb/ton');
	await form.getByRole('button', { name: 'Save to the catalogue' }).click();
	await expect(form.getByRole('status')).toContainText('is in the catalogue');
	await expect(
		page.getByRole('table', { name: 'Catalogue' }).getByRole('row', { name: /^Litter, house 2 your own/ })
	).toBeVisible();
	await app.openField('Crow Acre', 'supply');
	await hydrated(page);
	const manure = page.getByRole('region', { name: 'Manure for this field' });
	const limiting = manure.getByRole('row', { name: /limits/ });
	await expect(limiting).toContainText('P2O5');
	await limiting.getByRole('button', { name: 'Put it in the plan' }).click();
	await expect(manure.getByRole('status')).toContainText('It is in the plan');
	await app.openField('Crow Acre', 'season');
	const row = page.getByRole('region', { name: 'All passes' }).getByRole('row', { name: /Litter, house 2/ });
	await expect(row).toContainText('Raw manure: 120 days before harvest');
});

test('own products are typed in or come as CSV, whole or not at all, and the catalogue goes out', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/products`);
	await hydrated(page);
	const file = (csv: string) =>
		page.locator('input[type=file]').setInputFiles({ name: 'own.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
	await file('id,name,state,placements,N\nown-mix,House mix 20-10-10,solid,broadcast,20\n');
	await expect(page.getByRole('alert')).toContainText('must be one of dry, liquid, gas');
	await file('id,name,state,placements,N,P2O5\nown-mix,House mix 20-10,dry,broadcast,20,10\n');
	await expect(page.getByRole('status')).toContainText('1 imported');
	await expect(page.getByRole('row', { name: /^House mix 20-10 your own 20 10/ })).toBeVisible();
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'The catalogue as CSV' }).click();
	expect((await download).suggestedFilename()).toBe('products.csv');
	const own = page.getByRole('region', { name: 'A product of your own' });
	await own.getByLabel('Name of the product').fill('Liquid 9-18-9');
	await own.getByLabel('State').selectOption('liquid');
	await own.getByLabel('N, %', { exact: true }).fill('9');
	await own.locator('label').filter({ hasText: 'drop-nozzle band at the row base' }).click();
	await expect(own.getByLabel('drop-nozzle band at the row base')).toBeChecked();
	await own.getByRole('button', { name: 'Save the product' }).click();
	await expect(own.getByRole('alert')).toHaveText('A liquid needs its density, lb/gal.');
	await own.getByLabel('Density, lb/gal').fill('11.1');
	await own.getByLabel('N, %', { exact: true }).fill('90');
	await own.getByLabel('P2O5, %', { exact: true }).fill('18');
	await own.getByRole('button', { name: 'Save the product' }).click();
	await expect(own.getByRole('alert')).toContainText('come to 108 % by weight');
	await own.getByLabel('N, %', { exact: true }).fill('9');
	await own.getByRole('button', { name: 'Save the product' }).click();
	await expect(page.getByRole('row', { name: /^Liquid 9-18-9 your own 9/ })).toBeVisible();
	await page
		.getByRole('row', { name: /^House mix/ })
		.getByRole('button', { name: 'Delete' })
		.click();
	await expect(page.getByRole('row', { name: /^House mix/ })).toHaveCount(0);
});

test('orders over the book, a dealer, one mix for two fields, sheets and work orders for many', async ({
	page,
	app
}, info) => {
	await page.goto(`${app.server.origin}/orders`);
	await hydrated(page);
	const order = page.getByRole('table', { name: 'Order by product' });
	const uan = order.getByRole('row', { name: /UAN-28/ }).first();
	await expect(uan).toContainText('44,380');
	await expect(uan).toContainText('4160 gal');
	await uan.getByLabel('Dealer of UAN-28').fill('River Elevator');
	await uan.getByLabel('Dealer of UAN-28').blur();
	await expect(page.getByRole('button', { name: /^Undo: UAN-28 comes from River Elevator/ })).toBeVisible();
	const csv = await (await fetch(`${app.server.origin}/orders/csv?year=2027`)).text();
	expect(csv).toContain('River Elevator,UAN-28,all,,44380,,4160 gal');
	const paper = Buffer.from(await (await fetch(`${app.server.origin}/orders/print?year=2027`)).arrayBuffer());
	const printed = execFileSync('pdftotext', ['-layout', '-', '-'], { input: paper, encoding: 'utf8' });
	expect(printed).toContain('Order for Quillet Bros, 2027');
	expect(printed).toMatch(/UAN-28\s+River Elevator\s+34,513\s+3240 gal/);
	const sheets = page.getByRole('region', { name: 'Sheets and work orders' });
	await sheets.getByLabel('Select all rows').check({ force: true });
	await sheets.getByRole('button', { name: 'One mix for the chosen fields' }).click();
	await expect(page.getByRole('region', { name: 'One mix for several fields' })).toContainText('In a ton:');
	await sheets.getByRole('button', { name: 'Issue 6 sheets' }).click();
	await expect(sheets.getByRole('status')).toHaveText('6 sheets issued.');
	const download = page.waitForEvent('download');
	await sheets.getByRole('link', { name: /^Work orders of 6 sheets/ }).click();
	const file = info.outputPath('orders.pdf');
	await (await download).saveAs(file);
	const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
	for (const words of [
		'Crow Acre: Side-dress at V5 to V7',
		'Order 4-5',
		'268 lb/ac',
		'Urea left on the surface loses ammonia',
		'Applied on',
		'Follow the label'
	]) {
		expect(text).toContain(words);
	}
});

test('a sheet issued anew says what changed since the last, and the old one reprints the same', async ({
	page,
	app
}) => {
	const id = await app.fieldId('Crow Acre');
	await app.post(`/api/fields/${id}/2027/sheets`, {});
	await app.openField('Crow Acre', 'sheet');
	const first = await page.getByRole('link', { name: 'No. 1', exact: true }).getAttribute('href');
	const old = Buffer.from(await (await fetch(`${app.server.origin}${first}/pdf`)).arrayBuffer());
	await app.openField('Crow Acre', 'season');
	await page.getByRole('button', { name: /^Side-dress at V5 to V7 on/ }).focus();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('button', { name: /^Undo: Moved/ })).toBeVisible();
	await app.openField('Crow Acre', 'sheet');
	await hydrated(page);
	const changed = 'Side-dress at V5 to V7: on 11 Jun 2027, before 10 Jun 2027.';
	await expect(page.getByText('this sheet is out of date.')).toBeVisible();
	await expect(page.getByText(changed)).toBeVisible();
	await page.getByRole('button', { name: 'Issue a new sheet' }).click();
	await page.getByRole('link', { name: 'No. 2', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Changed since no. 1' })).toBeVisible();
	await expect(page.getByText(changed)).toBeVisible();
	expect(Buffer.from(await (await fetch(`${app.server.origin}${first}/pdf`)).arrayBuffer()).equals(old)).toBe(true);
});

test('a sheet is issued from what was looked at, and once', async ({ page, app }) => {
	const id = await app.fieldId('Crow Acre');
	await app.openField('Crow Acre', 'sheet');
	const issue = page.getByRole('button', { name: 'Issue the sheet' });
	await expect(issue).toBeEnabled();
	// Another tab sets a rate that this one has never shown.
	const own = { nutrient: 'S', ownRate: 12, reason: 'thin ground' };
	expect((await app.post(`/api/fields/${id}/2027/choices`, { choices: [own] })).status).toBe(200);
	await expect(page.getByText('because: thin ground')).toHaveCount(0);
	await issue.click();
	await expect(page.getByRole('alert')).toContainText('changed after this draft was shown, so nothing was issued');
	await expect(page.getByText('thin ground')).toBeVisible();
	await expect(page.getByRole('link', { name: /^No\. \d/ })).toHaveCount(0);
	await issue.dblclick();
	await expect(page.getByRole('link', { name: 'No. 1', exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Issue a new sheet' }).click();
	await expect(page.getByText('No. 1 says the same: nothing was changed since it was issued.')).toBeVisible();
	await expect(page.getByRole('link', { name: /^No\. \d/ })).toHaveCount(1);
	const both = await Promise.all([1, 2].map(() => app.post(`/api/fields/${id}/2027/sheets`, {})));
	const numbers = await Promise.all(both.map(async (one) => ((await one.json()) as { number: number }).number));
	expect(numbers).toEqual([1, 1]);
});

test('calibration follows what is typed, and says which number is missing', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/calibration`);
	await hydrated(page);
	const pans = page.getByRole('region', { name: 'Pan test' });
	await expect(pans.getByRole('status')).toContainText('Drive 30 ft apart');
	await pans.getByLabel(/^Caught in each pan/).fill('1, 2, 3, 4');
	await expect(pans.getByRole('alert')).toContainText('4 pans; an odd number from 5 on is wanted');
	const nozzles = page.getByRole('region', { name: 'Nozzles' });
	await nozzles.getByLabel('Speed, mph').fill('12');
	await expect(nozzles).toContainText('0.81 gal/min');
	await nozzles.getByLabel('Speed, mph').fill('');
	await expect(nozzles.getByRole('alert')).toHaveText('Speed, mph: type a number above 0.');
	await expect(page.getByRole('region', { name: 'Leaf spray' })).toContainText('Of the need: 2.6 %');
	const row = page.getByRole('region', { name: 'For 100 ft of row' });
	await row.getByLabel('Row spacing or band, ft').fill('4.356');
	await expect(row).toContainText('2.50 lb/100 ft');
});

test('acid ground and short magnesium speak for other sources, and one is taken', async ({ page, app }) => {
	await app.openField('Crow Acre', 'supply');
	await hydrated(page);
	const sources = page.getByRole('region', { name: 'Sources' });
	await expect(sources).toContainText(
		'Lime, worked in: Magnesium is short here: dolomitic lime brings it with the lime.'
	);
	await sources.getByRole('button', { name: /^Take Agricultural lime, dolomitic/ }).click();
	await expect(page.getByRole('button', { name: /^Undo: Took Agricultural lime, dolomitic/ })).toBeVisible();
	await expect(sources).not.toContainText('dolomitic lime brings it with the lime');
	const compared = page.getByRole('region', { name: 'Price of a pound' });
	await compared.getByLabel('of', { exact: true }).selectOption('K2O');
	await expect(compared.getByRole('row', { name: /^Muriate of potash/ })).toContainText('$0.38/lb K2O');
});

test('liquids go by the gallon, with what goes into each tank on the order; tank and additive prices are kept', async ({
	page,
	app
}) => {
	await app.openField('Crow Acre', 'season');
	await page.getByRole('button', { name: 'Add a pass' }).click();
	const form = page.getByRole('dialog');
	await form.getByLabel('Pass', { exact: true }).fill('Late nitrogen');
	await form.getByLabel('Date').fill('2027-06-10');
	await form.getByLabel('Product', { exact: true }).selectOption('uan-28');
	await form.getByLabel('In', { exact: true }).selectOption('gal/ac');
	await form.getByLabel('Product rate, gal/ac').fill('70');
	await form.getByLabel('Inhibitor').selectOption('urease inhibitor');
	await form.getByRole('button', { name: 'Save the pass' }).click();
	const row = page.getByRole('region', { name: 'All passes' }).getByRole('row', { name: /Late nitrogen/ });
	await expect(row).toContainText('70 gal/ac');
	await expect(row).toContainText('209.1');
	// 746.9 lb at $365 a ton and $6.50 for the inhibitor.
	await expect(row).toContainText('$142.81');
	await page.goto(`${app.server.origin}/prices`);
	await hydrated(page);
	await page.getByLabel('Price of Urease inhibitor').fill('8.5');
	await page.getByRole('button', { name: 'Save the prices' }).click();
	await expect(page.getByRole('button', { name: 'Save the prices' })).toBeDisabled();
	await page.reload();
	await expect(page.getByLabel('Price of Urease inhibitor')).toHaveValue('8.5');
	await app.openField('Crow Acre', 'supply');
	await page.getByLabel('The tank holds, gal').fill('700');
	const kept = page.waitForResponse(/\/api\/settings$/);
	await page.getByLabel('The tank holds, gal').blur();
	expect((await kept).ok()).toBe(true);
	await page.reload();
	await expect(page.getByLabel('The tank holds, gal')).toHaveValue('700');
	// So much on one day is a stop: the sheet waits for the reason, and the order prints both.
	await app.openField('Crow Acre', 'sheet');
	const issue = page.getByRole('button', { name: 'Issue the sheet' });
	const stops = page.getByRole('region', { name: 'Stops' });
	await expect(stops).toContainText('Late nitrogen: ');
	await expect(issue).toBeDisabled();
	for (const because of await stops.getByLabel('Because').all()) await because.fill('By drops, the rows are shaded.');
	await issue.click();
	const orders = page.getByRole('link', { name: 'work orders' });
	await expect(orders).toBeVisible();
	await expect(page.getByRole('article', { name: 'Sheet' })).toContainText('Late nitrogen');
	const address = (await orders.getAttribute('href'))!;
	const paper = Buffer.from(await (await fetch(app.server.origin + address)).arrayBuffer());
	const text = execFileSync('pdftotext', ['-layout', '-', '-'], { input: paper, encoding: 'utf8' });
	expect(text).toMatch(/2 tanks, at most 700 gal\s+Full, 10 ac\s+Last, 7.5 ac\s+1\. UAN-28\s+700 gal\s+525 gal/);
	expect(text).toMatch(/2\. urease inhibitor\s+by its label/);
	expect(text).toMatch(/STOP\. Late nitrogen: /);
	expect(text.replace(/\s+/g, ' ')).toContain('Issued all the same, because: By drops, the rows are shaded.');
});
