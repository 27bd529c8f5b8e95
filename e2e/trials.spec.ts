import { readFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';
import { act } from './row-menu';

test('a trial from its question to its verdict: laid out, stopped where it cannot be harvested, spread, measured, undone', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/trials`);
	await hydrated(page);
	await page.getByRole('link', { name: 'Lay out a trial' }).click();
	await hydrated(page);
	const form = page.getByRole('form', { name: 'Plan of the trial' });
	await form.getByRole('combobox', { name: 'Field' }).fill('Long Mea');
	await page.getByRole('option', { name: 'Long Meadow, Quillet Bros' }).click();
	await form.getByLabel('Name', { exact: true }).fill('Six rates');
	await form.getByLabel('Header, ft').fill('90');
	await form.getByRole('button', { name: 'Lay it out' }).click();
	await expect(form).toContainText(
		'must be at least the header’s 90 ft; at 60 ft a pass of the combine would take two treatments at once'
	);
	await form.getByLabel('Header, ft').fill('30');
	await form.getByLabel('Seed').fill('7');
	await form.getByRole('button', { name: 'Lay it out' }).click();
	await expect(page.getByRole('heading', { name: 'Six rates' })).toBeVisible();
	await hydrated(page);
	await expect(page.getByRole('region', { name: 'Design' })).toContainText(
		'Complete blocks, 4 blocks, 24 plots 60 ft wide and 500 ft long'
	);
	await expect(page.getByRole('region', { name: 'What it says' })).toContainText(
		'Laid out; nothing was measured on the plots yet.'
	);
	await expect(page.locator('.paper-map.ready')).toBeVisible();

	const download = page.waitForEvent('download');
	await page.getByRole('region', { name: 'Files' }).getByRole('link', { name: 'Data sheet (CSV)' }).click();
	const sheet = readFileSync(await (await download).path(), 'utf8');
	const [head, ...lines] = sheet.trim().split('\r\n');
	expect(head).toContain('plot,block,treatment,yield');
	expect(lines).toHaveLength(24);

	// Each rate yields by its amount, blocks 3 apart; one plot is not measured, one line is a fault.
	const filled = lines.map((line, at) => {
		const [plot, block, rate] = line.split(',') as [string, string, string];
		const measured = 120 + 0.5 * Math.min(160, Number(rate)) + 3 * Number(block) + (at % 3);
		return `${plot},${plot === '101' ? '' : measured.toFixed(1)}`;
	});
	const plots = page.getByRole('region', { name: 'Plots', exact: true });
	const take = async (rows: string[]) => {
		const chooser = page.waitForEvent('filechooser');
		await plots.getByText('Import the data sheet (CSV)').click();
		const buffer = Buffer.from(['plot,yield', ...rows].join('\n'));
		await (await chooser).setFiles({ name: 'plots.csv', mimeType: 'text/csv', buffer });
	};
	await take([...filled.slice(1), '999,100']);
	await expect(plots.getByRole('alert')).toContainText('"999" is no plot of this trial');
	await take(filled);
	const says = page.getByRole('region', { name: 'What it says' });
	await expect(says).toContainText('N rate makes a difference (p below 0.001)');
	await expect(plots.getByLabel('Yield of 102')).not.toHaveValue('');
	await expect(plots.getByLabel('Yield of 101')).toHaveValue('');
	await expect(page.getByText('1 plot is missing; means are adjusted for it.')).toBeVisible();

	await plots.getByLabel('Why 102 is left out').fill('deer');
	await plots.getByRole('button', { name: 'Save the plots' }).click();
	await expect(page.getByText('Set aside: block 1: plot 102, deer.')).toBeVisible();
	await page.getByRole('button', { name: /^Undo: Recorded plots/ }).click();
	await expect(page.getByText('Set aside: block 1: plot 102, deer.')).toHaveCount(0);

	await says.getByRole('button', { name: 'Enter price and costs for returns' }).click();
	const money = page.getByRole('form', { name: 'Price and costs' });
	await money.getByLabel('Price, $ per bu').fill('5');
	for (const rate of ['0', '60', '120', '150', '180', '240']) {
		await money.getByLabel(`Cost of ${rate}, $/ac`).fill(String(Number(rate) / 2));
	}
	await money.getByRole('button', { name: 'Save price and costs' }).click();
	await expect(says).toContainText('At $5.00/bu usual practice, 180 lb N/ac, returned most');
	const means = page.getByRole('table', { name: 'Means of the treatments' });
	await means
		.getByRole('row', { name: /^E 180/ })
		.getByRole('button', { name: /net return/ })
		.click();
	await expect(page.getByText('mean x price - cost')).toBeVisible();
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Details: analysis of variance' }).click();
	await expect(page.getByRole('img', { name: /^Residuals of 2[34] plots against what was expected/ })).toBeVisible();
	await expect(page.getByText(/Shapiro-Wilk W 0\.\d{3}, p 0\.\d{3}\./)).toBeVisible();
	const variance = page.getByRole('table', { name: 'Analysis of variance' }).getByRole('row', { name: /N rate/ });
	await variance.getByRole('button', { name: /^N rate: chance of so large an F.*below 0.0001/ }).click();
	await expect(page.getByText('upper tail of the F distribution')).toBeVisible();
	await page.keyboard.press('Escape');

	await act(page.locator('.head'), 'Delete the trial');
	await expect(page).toHaveURL(/\/trials$/);
	await expect(page.getByRole('link', { name: 'Six rates' })).toHaveCount(0);
});

test('a Latin square: refused with fewer rows than treatments, laid out in rows and columns', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/trials/new`);
	await hydrated(page);
	const form = page.getByRole('form', { name: 'Plan of the trial' });
	await form.getByRole('combobox', { name: 'Field' }).fill('Long Mea');
	await page.getByRole('option', { name: 'Long Meadow, Quillet Bros' }).click();
	await form.getByLabel('Name', { exact: true }).fill('Rates both ways');
	await form.getByLabel('Design').selectOption('Latin square');
	await expect(form.getByLabel('Ground of each block')).toHaveCount(0);
	await form.getByLabel('Length of a plot, ft').fill('120');
	await form.getByRole('button', { name: 'Lay it out' }).click();
	await expect(form).toContainText('must be 6, a row for each of the 6 treatments; got 4');
	await form.getByLabel('Rows').fill('6');
	await form.getByRole('button', { name: 'Lay it out' }).click();
	await expect(page.getByRole('region', { name: 'Design' })).toContainText(
		'Latin square, 6 rows and columns, 36 plots 60 ft wide and 120 ft long'
	);
});

test('trials of the demo: eight programmes on a wet and a dry half, strips of three fields pooled, curves fitted to rates', async ({
	page,
	app
}) => {
	await page.goto(`${app.server.origin}/trials`);
	await hydrated(page);
	const pooled = page.getByRole('region', { name: 'Several sites together' });
	await expect(pooled).toContainText('Over 3 sites the effect is');
	await expect(pooled.getByRole('img', { name: /with against without at 3 sites/ })).toBeVisible();
	await expect(pooled).not.toContainText('Wetter than usual');
	// 6 mm on each day of a season is more than usual anywhere in the district.
	const days = Array.from({ length: 183 }, (_, at) => new Date(Date.UTC(2025, 3, 1 + at)).toISOString().slice(0, 10));
	const csv = ['date,min,max,rain', ...days.map((date) => `${date},8,20,6`)].join('\n');
	const file = { name: 'Gauge at the yard', latitude: 41, units: 'metric', csv };
	expect((await app.post('/api/weather', file)).status).toBe(200);
	await page.reload();
	await hydrated(page);
	await expect(pooled).toContainText(/Wetter than usual \(.*2025.*2025\): Over 2 sites the effect is/);
	await expect(pooled).not.toContainText('Drier than usual');

	await page.getByRole('link', { name: 'Placement and timing of 160 lb N' }).click();
	await hydrated(page);
	const says = page.getByRole('region', { name: 'What it says' });
	await expect(says).toContainText('“row base V7” returned most');
	await expect(says).toContainText('The grounds answer differently, beyond chance: go by each.');
	await expect(page.getByText(/^On the wet half:/)).toBeVisible();
	await expect(page.getByRole('table', { name: 'Means of the treatments' }).getByRole('row')).toHaveCount(9);

	await page.goBack();
	const optima = page.getByRole('region', { name: 'Nitrogen from each site’s optimum' });
	await expect(optima.getByRole('row', { name: /^B Long Meadow 2025/ })).toBeVisible();
	await optima.getByRole('button', { name: /^Mill Strip 2024: economic optimum: 14\d/ }).click();
	await expect(page.getByText('price of nitrogen / price of grain')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(optima).toContainText('Yield without nitrogen does not tell the response to it');

	await page.getByRole('link', { name: 'N rates' }).first().click();
	await hydrated(page);
	const left = page.getByRole('region', { name: 'Nitrogen left' });
	await expect(left).toContainText(/Of what goes on beyond what the grain takes off, \d+ % was found as nitrate/);
	await left.getByRole('button', { name: /^plot 404, 240 lb N\/ac/ }).click();
	await expect(page.getByText(/^Plot 404, block 4: 240 lb N\/ac/)).toBeVisible();
	await page.getByRole('link', { name: 'Fit response curves to it' }).click();
	await hydrated(page);
	await expect(page.getByRole('heading', { name: 'Fit a trial' })).toBeVisible();
	await expect(
		page
			.getByLabel(/rate, yield/i)
			.or(page.locator('textarea'))
			.first()
	).toHaveValue(/^rate, yield, block\n180, 239\.59, 1/);
});

const SOYBEAN_LEAVES = 'Soybean, top full trifoliate without stalk, first bloom';

test('twenty sites give critical values by five ways of reading, and become a rule that speaks under Rates', async ({
	page,
	app
}) => {
	const field = await app.fieldId('Kingfisher Bend');
	const plan = {
		name: 'P rates',
		design: 'blocks',
		factors: [{ name: 'P rate', unit: 'lb P2O5/ac', levels: ['0', '40', '80'] }],
		...{ blocks: 4, passFt: 60, headerFt: 30, widthFt: 60, lengthFt: 300, headlandFt: 80, headingDegrees: 0, seed: 7 }
	};
	const laidOut = await app.post(`/api/fields/${field}/2027/trials`, { plan });
	expect(laidOut.status, await laidOut.clone().text()).toBe(200);
	const { id } = (await laidOut.json()) as { id: string };
	const { record } = (await (await fetch(`${app.server.origin}/api/trials/${id}`)).json()) as {
		record: { plots: { plot: number; levels: Record<string, string> }[] };
	};
	const yieldOf: Record<string, number> = { '0': 150, '40': 171, '80': 178 };
	const records = record.plots.map(({ plot, levels }) => ({ plot, values: { yield: yieldOf[levels['P rate']!] } }));
	expect((await app.post(`/api/trials/${id}/records`, { records }, 'PUT')).status).toBe(200);

	await page.goto(`${app.server.origin}/trials/calibrate`);
	await hydrated(page);
	await page.getByRole('button', { name: 'Take 1 site from your trials: Corn, P2O5 by Bray P1' }).click();
	await expect(page.getByLabel(/^Sites: test/)).toHaveValue(
		'test, yield without, yield with plenty, site\n10, 150.00, 178.00, Kingfisher Bend 2027 P rates'
	);
	const sites = readFileSync('demo/trials/phosphorus-sites.csv', 'utf8');
	const box = page.getByLabel(/^Sites: test/);
	await box.fill('test,relative yield\n8,lots');
	await page.getByRole('button', { name: 'Read the critical values' }).click();
	await expect(page.getByRole('alert')).toContainText(
		'line 2: the relative yield must be a number from 0 to 200; got “lots”'
	);
	await box.fill(sites);
	await page.getByRole('button', { name: 'Read the critical values' }).click();
	const values = page.getByRole('table', { name: 'Critical values' });
	await expect(values.getByRole('row')).toHaveCount(6);
	await expect(values.getByRole('row', { name: /line and plateau/ })).toContainText(/1\d\.\d1\d\.\d to \d\d\.\d/);
	await expect(page.getByRole('img', { name: /20 sites with the critical value of 5 ways of reading/ })).toBeVisible();

	const rule = page.getByRole('region', { name: 'A rule of your own' });
	await rule.getByLabel('Test', { exact: true }).selectOption({ label: 'P, Bray P1' });
	await expect(rule).toContainText('15 ppm by Bray P1');
	await rule.getByRole('button', { name: 'Make it a rule' }).click();
	await expect(page.getByRole('alert')).toContainText('Say the rate where the soil has none');
	await rule.getByLabel('P2O5 at a test of 0, lb/ac').fill('80');
	await rule.getByRole('button', { name: 'Make it a rule' }).click();
	await expect(rule.getByRole('status')).toContainText('The rule speaks under Rates now');

	await app.openField('Heronry', 'rates');
	await expect(page.getByText(/Own calibration/).first()).toBeVisible();

	await page.goto(`${app.server.origin}/trials/calibrate`);
	await hydrated(page);
	await page.getByLabel('What was tested').selectOption({ label: 'leaf K, %' });
	const leaves = [1.2, 1.3, 1.4, 1.5, 1.6, 1.7, 1.8, 1.9, 2, 2.1, 2.2, 2.3];
	const lines = leaves.map((leaf, at) => `${leaf}, ${Math.min(98, 60 + 50 * (leaf - 1.2)) + (at % 2)}, site ${at + 1}`);
	await page.getByLabel(/^Sites: test/).fill(['leaf, relative yield, site', ...lines].join('\n'));
	await page.getByRole('button', { name: 'Read the critical values' }).click();
	const range = page.getByRole('region', { name: 'A leaf range of your own' });
	await expect(rule).toBeHidden();
	await range.getByLabel('Ranges to start from').selectOption({ label: SOYBEAN_LEAVES });
	await range.getByLabel('Critical value by').selectOption('linear-plateau');
	await range.getByRole('button', { name: 'Make it a leaf range' }).click();
	await expect(range.getByRole('status')).toContainText('are read against it now');
	// Made with a knee at 1.96 %.
	await expect(range).toContainText(/K there is 1\.9\d %/);
	await range.getByRole('link', { name: 'See the ranges' }).click();
	const own = page.getByRole('row', { name: /Soybean top full trifoliate.* your own/ });
	await expect(own).toContainText(/1\.9\d+/);
	await own.getByRole('button', { name: 'Expand current row' }).click();
	await expect(
		page.getByText(/Set by the adviser: K: 12 own sites, line and plateau: critical value 1\.9\d+ %/).first()
	).toBeVisible();
});
