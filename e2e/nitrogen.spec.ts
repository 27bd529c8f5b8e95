import { readFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { expect, hydrated, test } from './app';
import { act } from './row-menu';

const trial = (name: string) => readFileSync(`demo/trials/${name}.csv`, 'utf8');

test('prices move the optimum at once, without a page load; two years of prices lie over each other', async ({
	page,
	app
}) => {
	await app.openField('Kingfisher Bend', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Yield and return' }).click();
	await expect(nitrogen.getByRole('img', { name: /Yield and return against nitrogen/ })).toBeVisible();
	const best = nitrogen.getByRole('row', { name: /^Economic optimum/ });
	// Curve of the shipped trial: (0.62 / 4.60 - 1.03307) / (2 x -0.00285186)
	await expect(best).toContainText('157.5');
	await expect(nitrogen).toContainText('Simulated, not measured');
	await expect(nitrogen).toContainText('Within $1/ac of the best: 149 to 166 lb/ac. Within $5/ac: 138 to 177.');
	await expect(nitrogen).toContainText('50 lb/ac too much costs $23.67/ac and leaves 48.9 lb/ac more');

	const asked: string[] = [];
	page.on('request', (request) => asked.push(request.url()));
	const price = nitrogen.getByRole('spinbutton', { name: /Nitrogen, \$ per lb/ });
	await price.fill('1.24');
	await price.press('Tab');
	// (1.24 / 4.60 - 1.03307) / (2 x -0.00285186)
	await expect(best).toContainText('133.9');
	// By keyboard on the slider, a step of a cent.
	const slider = nitrogen.getByRole('slider', { name: /Nitrogen, \$ per lb/ });
	await slider.focus();
	await page.keyboard.press('ArrowLeft');
	await expect(best).toContainText('134.2');
	expect(asked, 'no request for a price that moves').toEqual([]);
	await nitrogen.getByRole('button', { name: 'Back to the price list' }).click();
	await expect(best).toContainText('157.5');

	await nitrogen.getByText('Lay other prices over it').click();
	await expect(nitrogen).toContainText('Prices of 10 Jan 2026');
	// Nitrogen went from 0.55 to 0.62, corn from 4.15 to 4.60.
	await expect(nitrogen).toContainText(/\$30\.32\/ac\s+more now, though nitrogen is dearer/);

	await best.getByRole('button', { name: /Economic optimum: 157\.5/ }).click();
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toContainText('the next pound just pays');
	await page.keyboard.press('Escape');
	const choose = nitrogen.getByRole('button', { name: 'Choose lowest residual N' });
	const sure = page.getByRole('dialog', { name: 'Go by a simulated curve?' });
	await choose.click();
	await expect(sure).toContainText('measured on no field');
	await sure.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByRole('link', { name: /^Rates N 161 / })).toBeVisible();
	await choose.click();
	await sure.getByRole('button', { name: 'Choose it all the same' }).click();
	await expect(page.getByRole('link', { name: /^Rates N 138 / })).toBeVisible();
	await page.reload();
	await hydrated(page);
	await expect(nitrogen).toContainText('Lowest residual N');
	await expect(page.getByRole('link', { name: /^Rates N 138 / })).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('link', { name: /^Rates N 161 / })).toBeVisible();
});

test('credits stand on the worksheet, and the account of what is chosen under the chart', async ({ page, app }) => {
	await app.openField('Kingfisher Bend', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Yield and return' }).click();
	await expect(nitrogen).toContainText('53.4 lb/ac applied and not taken off');
	await expect(nitrogen).toContainText('289.1 lb/ac of pure CaCO3');
	await nitrogen.getByLabel('N from manure of this year, lb/ac').fill('many');
	await nitrogen.getByRole('button', { name: 'Save these credits' }).click();
	await expect(
		nitrogen.getByText(/N from manure of this year “many” must be a number from 0 to 1000 lb\/ac/)
	).toBeVisible();
	await nitrogen.getByLabel('N from manure of this year, lb/ac').fill('25');
	await nitrogen.getByRole('button', { name: 'Save these credits' }).click();
	await nitrogen.getByRole('button', { name: /Tri-state guide 1995.*: 135\.6/ }).click();
	const worksheet = page.getByRole('dialog', { name: 'Worksheet' });
	await expect(worksheet).toContainText('manure of this year');
	await page.keyboard.press('Escape');
	// A vetch of 18 in, worked in: 3,800 lb x 4 % x 50 %.
	await nitrogen.getByText('A cover crop of legumes stands before this crop').click();
	await nitrogen.getByLabel('Height, in').fill('18');
	await nitrogen.getByLabel('N in its dry matter, %').fill('4');
	await nitrogen.getByLabel('Then it is').selectOption('worked in');
	await nitrogen.getByRole('button', { name: 'Save these credits' }).click();
	await nitrogen.getByRole('button', { name: /Tri-state guide 1995.*: 59\.6/ }).click();
	await expect(worksheet).toContainText('legume cover crop');
});

test('the placed factor is grey on one broadcast pass, and live on the banded programme', async ({ page, app }) => {
	const id = await app.fieldId('Crow Acre');
	const passes = `/api/fields/${id}/2027/passes`;
	const broadcast = {
		id: 'one',
		date: '2027-04-20',
		label: 'All before planting',
		product: 'urea',
		rate: 391,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: ''
	};
	await app.openField('Crow Acre', 'season');
	const rows = page.getByRole('region', { name: 'All passes' }).locator('tbody tr');
	for (let left = await rows.count(); left > 0; left--) {
		await act(rows.first(), 'Remove');
		await expect(rows).toHaveCount(left - 1);
		await expect(page.getByRole('button', { name: /^Undo: Removed/ })).toBeVisible();
	}
	await app.post(passes, { removed: [], added: [broadcast] });
	await app.openField('Crow Acre', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Details' }).click();
	await expect(nitrogen).toContainText(
		'Not on this programme: “All before planting” is broadcast, not drop-nozzle band at the row base.'
	);
	await expect(nitrogen.getByRole('button', { name: /Choose N by factor for a banded/ })).toHaveCount(0);
	await nitrogen.getByRole('button', { name: 'Plan the passes so' }).click();
	// 0.5 x 150 bu
	await expect(nitrogen.getByRole('button', { name: /by Banded programmes.*: 75 lb\/ac/ }).first()).toBeVisible();
	await expect(page.getByRole('link', { name: /^Rates N 75 / })).toBeVisible();
	await app.openField('Crow Acre', 'season');
	await expect(page.getByRole('cell', { name: '2x2 band' })).toBeVisible();
	await expect(page.getByRole('cell', { name: 'drop-nozzle band at the row base' }).first()).toBeVisible();
});

test.describe('on a phone', () => {
	test.use({ viewport: { width: 390, height: 844 } });

	test('tillers: 96 per ft2 call for none; three spots that differ say so; the season follows', async ({
		page,
		app
	}) => {
		await app.openField('Long Meadow', 'walk');
		const count = page.getByRole('region', { name: 'Tiller count' });
		await count.getByLabel('Day', { exact: true }).fill('2027-02-03');
		await count.getByLabel('Row spacing, in').fill('6');
		await count.getByLabel('Spot 1, stems').fill('4b');
		await count.getByRole('button', { name: 'Save the count' }).click();
		await expect(count.getByText('The count “4b” must be a number, 0 or more.')).toBeVisible();
		await count.getByLabel('Spot 1, stems').fill('48');
		await count.getByRole('button', { name: 'Save the count' }).click();
		await expect(count.getByText(/96 per ft2.*no nitrogen now/)).toBeVisible();
		await count.getByRole('button', { name: 'Change the season to this' }).click();
		await expect(page.getByText('Tiller count is in the season now.')).toBeVisible();

		await count.getByText('Record another').click();
		await count.getByLabel('Day', { exact: true }).fill('2027-02-05');
		await count.getByLabel('Row spacing, in').fill('7.5');
		for (const [spot, stems] of [14, 17, 12].entries()) {
			await count.getByLabel(`Spot ${spot + 1}, stems`).fill(String(stems));
		}
		await count.getByRole('button', { name: 'Save the count' }).click();
		await expect(count).toContainText('67.1 lb/ac');
		await expect(count).toContainText('The spots differ: 19.2 to 27.2 per ft2');
		await expect(count).toContainText('1 of 3 spots fall outside the band of the mean (20 to 30 per ft2)');
		await expect(page.evaluate(() => document.documentElement.scrollWidth <= 390)).resolves.toBe(true);

		await app.openField('Long Meadow', 'season');
		await expect(page.getByText('Early dressing')).toHaveCount(0);
		await app.openField('Long Meadow', 'book');
		await expect(
			page.getByText('Tillering nitrogen none by the count of 3 Feb 2027 (96 per ft2)').first()
		).toBeVisible();
	});
});

test('a nitrate test changes the season, in one action that says why and can be undone', async ({ page, app }) => {
	await app.openField('Kingfisher Bend', 'season');
	await page.getByRole('button', { name: 'Propose passes' }).click();
	await expect(page.getByRole('cell', { name: 'drop-nozzle band at the row base' })).toBeVisible();
	await app.openField('Kingfisher Bend', 'walk');
	const nitrate = page.getByRole('region', { name: 'Pre-sidedress nitrate test' });
	await nitrate.getByLabel('Day', { exact: true }).fill('2027-06-04');
	await nitrate.getByLabel('Nitrate-N, ppm').fill('14');
	await nitrate.getByLabel('Taken from').selectOption('leaf');
	await nitrate.getByRole('button', { name: 'Save the test' }).click();
	await expect(nitrate.getByText(/a leaf test tells what the plant has/)).toBeVisible();
	await nitrate.getByRole('button', { name: 'Delete' }).click();
	await nitrate.getByLabel('Day', { exact: true }).fill('2027-06-04');
	await nitrate.getByLabel('Nitrate-N, ppm').fill('14');
	await nitrate.getByLabel('Taken from').selectOption('soil');
	await nitrate.getByRole('button', { name: 'Save the test' }).click();
	await expect(nitrate.getByText('88 lb/ac').first()).toBeVisible();
	await nitrate.getByRole('button', { name: 'Change the season to this' }).click();
	await page.getByRole('link', { name: 'See the passes' }).click();
	const sideDress = page.getByRole('row', { name: /Side-dress/ });
	await expect(sideDress).toContainText('by the nitrate test of 4 Jun 2027 (14 ppm)');
	await expect(sideDress).toContainText(/N\s*88/);
	await app.openField('Kingfisher Bend', 'book');
	await expect(page.getByRole('cell', { name: /^Nitrogen 88 lb\/ac from now on by the nitrate test/ })).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('link', { name: /^Rates N 161 / })).toBeVisible();
});

test('a trial is pasted, fitted and put into the library; wrong lines and trials without an optimum say so', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/curves/fit`);
	await hydrated(page);
	const plots = page.getByRole('textbox', { name: 'Plots' });
	await plots.fill('rate,yield\n0,120\nsixty,150');
	await expect(page.getByText('Line 3: the rate “sixty” must be a number from 0 to 2000.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Fit four shapes' })).toBeDisabled();

	for (const [name, words] of [
		['no-response', 'shows no response to nitrogen from 0 to 200'],
		['still-rising', 'still rises in a straight line at the highest rate']
	] as const) {
		await plots.fill(trial(name));
		await page.getByRole('button', { name: 'Fit four shapes' }).click();
		await expect(page.getByText(/no optimum inside the tested range/)).toContainText(words);
		await expect(page.getByRole('button', { name: 'Save the curve to the library' })).toHaveCount(0);
	}

	await page.setInputFiles('input[type=file]', 'demo/trials/wheat-after-soybean.csv');
	await page.getByLabel('Crop', { exact: true }).first().selectOption('winter-wheat');
	await page.getByRole('button', { name: 'Fit four shapes' }).click();
	await expect(page.getByText('Mitscherlich fits best.')).toBeVisible();
	await expect(page.getByText(/Economic optimum at\s+108\.1 lb\/ac\s*; 90 % of the samples lie from/)).toBeVisible();
	await page.getByRole('button', { name: 'Save the curve to the library' }).click();
	await expect(page.getByText('Give the curve a title')).toBeVisible();
	await page.getByLabel('Title').first().fill('My wheat strips');
	await page.getByLabel('Where it comes from').first().fill('Own strips, 2024');
	await page.getByRole('button', { name: 'Save the curve to the library' }).click();
	await expect(page.getByRole('heading', { name: 'My wheat strips' })).toBeVisible();
	await app.openField('Coulee South', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await expect(
		nitrogen.getByRole('button', { name: /My wheat strips, economic optimum: 108\.1/ }).first()
	).toBeVisible();

	await page.goto(`${app.server.origin}/curves?curve=my-wheat-strips`);
	await hydrated(page);
	await page
		.getByRole('row', { name: /My wheat strips/ })
		.getByRole('button', { name: 'Delete' })
		.click();
	await expect(page.getByRole('row', { name: /My wheat strips/ })).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo: Deleted the curve/ }).click();
	await expect(page.getByRole('row', { name: /My wheat strips/ })).toBeVisible();
});

test('fit over HTTP refuses bad bodies with the path', async ({ app }) => {
	const good = await app.post('/api/fit', {
		observations: [0, 50, 100, 150, 200].flatMap((rate) =>
			[1, -1].map((off) => ({ rate, yield: 100 + rate * 0.5 - rate * rate * 0.00125 + off }))
		),
		priceRatio: 0.1
	});
	expect(good.status).toBe(200);
	expect(((await good.json()) as { eonr: number }).eonr).toBeCloseTo(160, 0);
	for (const [body, path] of [
		[{ observations: [{ rate: -1, yield: 100 }] }, '/observations/0/rate'],
		[{ observations: [] }, '/observations'],
		[{ observations: [{ rate: 1, yield: 1 }], priceRatio: 1, prices: { grain: 4, nitrogen: 1 } }, '/priceRatio']
	] as const) {
		const bad = await app.post('/api/fit', body);
		expect(bad.status).toBe(422);
		const { problems } = (await bad.json()) as { problems: { path: string }[] };
		expect(problems[0]?.path).toBe(path);
	}
	const curve = await app.post('/api/curves', {
		curve: {
			id: 'x',
			title: 'x',
			crop: 'corn-grain',
			curve: { model: 'quadratic', coefficients: { a: 1, b: 1, c: 1 } },
			lowestRate: 0,
			highestRate: 100,
			basis: 'measured',
			source: 'typed'
		}
	});
	expect(curve.status).toBe(422);
	expect(JSON.stringify(await curve.json())).toContain('/curve/curve/coefficients/c');
});

test('another crop in the goal brings its usual yield; the one it came with stays', async ({ page, app }) => {
	await app.openField('Crow Acre', 'rates');
	await page.getByRole('button', { name: 'Change the goal' }).click();
	await expect(page.getByLabel('Yield goal, bu/ac')).toHaveValue('150');
	await page.getByLabel('Crop', { exact: true }).selectOption('winter-wheat');
	await expect(page.getByLabel('Yield goal, bu/ac')).toHaveValue('80');
});

test('without prices maximum yield stands and can be chosen; the others say that they need prices', async ({
	page,
	app
}) => {
	const book = new Database(app.bookFile);
	book.exec('DELETE FROM price');
	book.close();
	await app.openField('Kingfisher Bend', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Yield and return' }).click();
	await expect(nitrogen.getByText(/Economic optimum: does not apply: .*price/)).toBeVisible();
	await expect(nitrogen.getByText(/Lowest residual N: does not apply: .*price/)).toBeVisible();
	await expect(nitrogen).toContainText(/By Corn after soybean,\s*simulated, not measured/);
	await nitrogen.getByRole('button', { name: 'Choose maximum yield' }).click();
	await page.getByRole('button', { name: 'Choose it all the same' }).click();
	await expect(page.getByRole('link', { name: /^Rates N 181 / })).toBeVisible();
});
