import { execFileSync } from 'node:child_process';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, hydrated, test, type App } from './app';

const SAMPLE = {
	lab: 'Orchard Diagnostics',
	labNumber: 'N-1',
	report: {
		date: '2026-10-06',
		layers: [
			{
				top: 0,
				bottom: 8,
				depthUnit: 'in',
				results: [
					{ analyte: 'pH', method: 'water', value: 6.1, unit: 'pH' },
					{ analyte: 'CEC', value: 12, unit: 'meq/100g' }
				]
			}
		]
	}
};

/** A field of blackberries with a sample and a goal, and nothing else. */
async function newBlock(app: App): Promise<string> {
	const { id } = (await (
		await app.post('/api/fields', { name: 'Sloe Bank', grower: 'Merrow Fruit', areaAcres: 3 })
	).json()) as { id: string };
	for (const [path, body, method] of [
		[`/api/fields/${id}/2027/goal`, { crop: 'blackberry', yieldGoal: 10_000 }, 'PUT'],
		[`/api/fields/${id}/samples`, SAMPLE, 'POST']
	] as const)
		expect((await app.post(path, body, method)).status, path).toBe(200);
	return id;
}

async function faults(page: Page): Promise<string[]> {
	const { violations } = await new AxeBuilder({ page })
		.setLegacyMode(true)
		.options({ resultTypes: ['violations'] })
		.withTags(['wcag2a', 'wcag2aa'])
		.analyze();
	return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.target.join(' ')}`);
}

test('from an empty block to the sheet: rates on four bases, doses that follow bud break, a frost, and paper', async ({
	page,
	app
}) => {
	const id = await newBlock(app);
	await app.openField('Sloe Bank', 'ground');
	await page.getByRole('button', { name: 'Describe the block' }).click();
	const block = page.getByRole('region', { name: 'Block' });
	await block.getByLabel('Year planted').fill('last year');
	await block.getByLabel('Between rows, ft').fill('10');
	await block.getByLabel('Between plants, ft').fill('3');
	await block.getByLabel('Treated strip, ft').fill('12');
	await block.getByRole('button', { name: 'Save the block' }).click();
	await expect(block).toContainText('Year planted “last year” must be a whole number from 1900 to 2150.');
	await block.getByLabel('Year planted').fill('2023');
	await block.getByRole('button', { name: 'Save the block' }).click();
	await expect(block).toContainText('the treated strip (12) is wider than the rows are apart (10)');
	await block.getByLabel('Treated strip, ft').fill('4');
	await block.getByRole('button', { name: 'Save the block' }).click();
	await expect(block).toContainText('1452 plants/ac');
	await expect(block).toContainText('4356 ft/ac');
	await expect(block).toContainText('40 %');

	// Rates: for each plant, each 100 ft and each treated acre beside the acre.
	await app.openField('Sloe Bank', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Own rate' }).click();
	// A handbook may mean the treated strip: both are shown before it is saved.
	await nitrogen.getByLabel('Rate, lb/ac').fill('200');
	await nitrogen.getByLabel('Meant for').selectOption('lb/treated ac');
	await expect(nitrogen.getByRole('status')).toHaveText('200 lb/treated ac is 80 lb/ac over the whole block.');
	await nitrogen.getByLabel('Because').fill('strong canes');
	await nitrogen.getByRole('button', { name: 'Save it' }).click();
	await expect(nitrogen).toContainText('0.055 lb/plant');
	await expect(nitrogen).toContainText('1.84 lb/100 ft');
	await expect(nitrogen).toContainText('200 lb/treated ac');

	// Banded: 35, 35 and 10 lb; all of them on bare ground.
	await page.getByRole('link', { name: 'Plan the season with these rates' }).click();
	await page.getByRole('button', { name: 'Propose passes' }).click();
	const day = (label: string) => page.getByRole('row', { name: new RegExp(label) }).first();
	await expect(day('N at bud break')).toContainText('15 Mar');
	await expect(day('N after harvest')).toContainText('12 Aug');

	// Bud break comes ten days late: every pass moves, in one action.
	const moved = await app.post(`/api/fields/${id}/2027/block`, { blockYear: { budBreak: '2027-03-25' } }, 'PUT');
	expect(moved.status).toBe(200);
	await page.reload();
	await hydrated(page);
	await expect(day('N at bud break')).toContainText('25 Mar');
	await expect(day('N after harvest')).toContainText('22 Aug');
	await expect(
		page.getByRole('button', { name: /^Undo: Changed what holds of the block in 2027; 3 passes moved/ })
	).toBeVisible();

	// A frost takes half: what comes after it is halved.
	await page.getByRole('button', { name: 'Frost or hail' }).click();
	const dialog = page.getByRole('dialog', { name: 'Part of the crop is lost' });
	await dialog.getByLabel('Frost or hail on').first().fill('2027-04-10');
	await dialog.getByLabel('Share of the crop lost, %').fill('half');
	await dialog.getByRole('button', { name: 'Cut crop and later nitrogen' }).click();
	await expect(dialog).toContainText('Share of the crop lost “half” must be a number above 0, at most 99 %.');
	await dialog.getByLabel('Share of the crop lost, %').fill('50');
	await dialog.getByRole('button', { name: 'Cut crop and later nitrogen' }).click();
	await expect(page.getByRole('button', { name: 'Undo: Lost 50 % of the crop on 10 Apr 2027' })).toBeVisible();
	const plan = (await (await fetch(`${app.server.origin}/field/${id}/2027/season`)).text()).replaceAll('&#39;', '’');
	expect(plan).toContain('Less after the loss.');

	await app.openField('Sloe Bank', 'sheet');
	await expect(page.getByRole('article', { name: 'Sheet' })).toContainText('year 5 of its life');
	await page.getByRole('button', { name: 'Issue the sheet' }).click();
	const link = page.getByRole('link', { name: 'PDF' });
	await expect(link).toBeVisible();
	const address = (await link.getAttribute('href'))!;
	const paper = Buffer.from(await (await fetch(app.server.origin + address)).arrayBuffer());
	const printed = execFileSync('pdftotext', ['-layout', '-', '-'], { input: paper, encoding: 'utf8' });
	expect(printed).toContain('lb/plant');
	expect(printed).toContain('Goal 5000 lb/ac; year 5 of its life');
	const calendar = await (await fetch(app.server.origin + address.replace('pdf', 'ics'))).text();
	expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(3);
});

test('almond: 237.8 lb with what the well brings, and a leaf test typed in moves nothing else', async ({
	page,
	app
}) => {
	await app.openField('Almond Reach, old', 'rates');
	await expect(page.getByRole('region', { name: 'Nitrogen' })).toContainText('237.8');
	await page.getByRole('button', { name: /^Leaf test of 16 Jul/ }).click();
	const form = page.getByRole('form', { name: 'Leaf test and days' });
	await form.getByLabel('Leaf N, %').fill('much');
	await form.getByRole('button', { name: 'Save leaf test and days' }).click();
	await expect(form).toContainText('Leaf N “much” must be a number above 0, at most 10 %.');
	await form.getByLabel('Leaf N, %').fill('2.4');
	await form.getByRole('button', { name: 'Save leaf test and days' }).click();
	await expect(page.getByRole('button', { name: /^Leaf test of 16 Jul: N 2.4 %/ })).toBeVisible();
	await expect(page.getByRole('region', { name: 'Nitrogen' })).toContainText('237.8');
	await app.openField('Pippin Block', 'rates');
	// 45 lb at 2.2 %: 2.05 % calls for 15 % more.
	await expect(page.getByRole('region', { name: 'Nitrogen' })).toContainText('51.8');
});

test('palms go out in half kilograms and bags; blocks can be used by everyone', async ({ page, app }) => {
	test.setTimeout(600_000);
	const id = await app.fieldId('Lagoon One');
	const own = { choices: [{ nutrient: 'N', ownRate: 65, reason: 'frond 17' }] };
	expect((await app.post(`/api/fields/${id}/2027/choices`, own)).status).toBe(200);
	expect((await app.post(`/api/fields/${id}/2027/programme`, {})).status).toBe(200);
	await app.openField('Lagoon One', 'sheet');
	await expect(page.getByRole('article', { name: 'Sheet' })).toContainText(
		/1 kg\/palm, 3992 palms: 79 bags of 50 kg and 42 kg/
	);
	for (const [width, height] of [
		[1280, 800],
		[390, 844]
	] as const) {
		await page.setViewportSize({ width, height });
		for (const word of ['ground', 'rates', 'season', 'sheet']) {
			await app.openField('Bramble Rows', word);
			expect(await faults(page), `${word} at ${width}`).toEqual([]);
			const wide = await page.evaluate(
				() => document.documentElement.scrollWidth > document.documentElement.clientWidth
			);
			expect(wide, `${word} at ${width}`).toBe(false);
		}
	}
});

test('a metric estate beside US farms: areas, rates, residues and paper each in their own units', async ({
	page,
	app
}) => {
	const id = await app.fieldId('Lagoon One');
	await page.goto(app.server.origin);
	await hydrated(page);
	await expect(page.getByRole('row', { name: /Lagoon One/ })).toContainText('28 ha');
	await expect(page.getByRole('row', { name: /Lagoon One/ })).toContainText('25 t');
	await expect(page.getByRole('row', { name: /Kingfisher Bend/ })).toContainText(' ac');

	// Removal of 25 t/ha, and 40 t/ha of empty bunches against it.
	const choices = ['nitrogen', 'potassium'].map((rule, at) => ({
		nutrient: ['N', 'K2O'][at],
		method: `oil-palm/removal-${rule}`
	}));
	expect((await app.post(`/api/fields/${id}/2027/choices`, { choices })).status).toBe(200);
	await app.openField('Lagoon One', 'supply');
	const residues = page.getByRole('region', { name: 'Manure for this field' });
	await residues.getByLabel('A rate of your own, t/ha').fill('40');
	const own = residues.getByRole('row', { name: /your own rate/ });
	await expect(own).toContainText('N 36, P2O5 34, K2O 464, Mg 28');
	await own.getByRole('button', { name: 'Put it in the plan' }).click();
	await expect(residues.getByRole('status')).toContainText('It is in the plan');
	expect((await app.post(`/api/fields/${id}/2027/programme`, {})).status).toBe(200);
	await page.reload();
	await hydrated(page);
	await expect(page.getByRole('row', { name: /Empty bunches/ }).first()).toContainText('1120 t');
	await expect(page.getByRole('table', { name: 'Price of a kilogram by product' })).toContainText('/kg N');
	const mix = page.getByRole('region', { name: 'Mix' });
	await mix.getByLabel('Least use of one, kg/ha').fill('none');
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	await expect(mix.getByRole('alert')).toContainText('“none” must be a number from 0 to 11,208.');
	await mix.getByLabel('Least use of one, kg/ha').fill('');
	await mix.getByRole('button', { name: 'Find the mix' }).click();
	await expect(mix.getByRole('table', { name: 'The mix' })).toContainText('Exact, kg/ha');
	await expect(mix).toContainText('ha each');
	await page.getByRole('button', { name: 'Cutting back when prices are high' }).click();
	await page.getByLabel('Left out, %').fill('half');
	await expect(page.getByText('“half”, must be a percentage from 0 to 100.')).toBeVisible();
	await page.getByLabel('Left out, %').fill('100');
	// Nothing of the plan is left: all that 25 t/ha take off is unreplaced.
	await expect(page.getByRole('table', { name: 'The plan and the cut beside it' })).toContainText('72.5');

	// The units are the grower's own, and go back to those of the book.
	await app.openField('Lagoon One', 'ground');
	await page.getByRole('button', { name: 'Change the facts' }).click();
	await expect(page.getByLabel('Area, ha')).toHaveValue('28');
	await page.getByLabel('Units for all fields of Heron Lagoon Estate').selectOption('');
	await page.getByRole('button', { name: 'Save the facts' }).click();
	await expect(page.getByRole('button', { name: 'Switch units' })).toHaveText('lb/ac');
	await expect(page.getByText('69.2 ac').first()).toBeVisible();
	// It is a change of the whole book, and undone there.
	await page.goto(app.server.origin);
	await hydrated(page);
	await page.getByRole('button', { name: /^Undo: Changed units or station of Heron Lagoon Estate/ }).click();
	await expect(page.getByRole('row', { name: /Lagoon One/ })).toContainText('28 ha');
});

test('palms: rounds of the nursery in cups, mulch, doses looked at, and the cover between young rows', async ({
	page,
	app
}) => {
	await app.openField('Lagoon One', 'supply');
	await page.getByRole('link', { name: 'Palm nursery and legume cover' }).click();
	const nursery = page.getByRole('region', { name: 'Nursery' });
	await nursery.getByLabel('Planted into bags on').fill('2027-01-04');
	await nursery.getByLabel('Seedlings').fill('');
	await expect(nursery.getByRole('alert')).toContainText('must be above 0');
	await nursery.getByLabel('Seedlings').fill('12000');
	const first = nursery.getByRole('row', { name: /^1 Feb 2027/ });
	await expect(first).toContainText('60 kg');
	await nursery.getByLabel('A level cup holds, g').fill('10');
	await expect(nursery).toContainText('does not measure 5 g in whole cups');
	await nursery.getByLabel('Mulch in the bags').selectOption('undecomposed sawdust');
	await expect(nursery.getByRole('status')).toContainText('stop');
	await expect(nursery.getByRole('status')).toContainText('ties up nitrogen');

	// What the palms of a block were found to have got stays in its book.
	await app.openField('Lagoon Two', 'walk', 2026);
	const doses = page.getByRole('region', { name: 'Doses of palms' });
	await expect(doses.getByRole('article', { name: 'Check of 24 Sep 2026' })).toContainText('Train the team again');
	await doses.getByRole('button', { name: 'Record another' }).click();
	await doses.getByLabel('Ordered, kg/palm').fill('2');
	await doses.getByLabel('Near the road, kg each').fill('2, 2.1');
	await doses.getByLabel('In the middle, kg each').fill('2, two');
	await doses.getByLabel('At the centre path, kg each').fill('1.9, 2');
	await doses.getByRole('button', { name: 'Save the check' }).click();
	await expect(doses).toContainText('“two” in the middle must be kilograms, 0 or more.');
	await doses.getByLabel('In the middle, kg each').fill('2, 2');
	await doses.getByRole('button', { name: 'Save the check' }).click();
	await expect(doses.getByRole('article')).toHaveCount(2);
	await expect(doses.getByRole('article').first()).toContainText('Even, and near the dose');
	await page.goto(`${app.server.origin}/palm-nursery`);
	await hydrated(page);

	const cover = page.getByRole('region', { name: 'Legume cover' });
	await cover.getByLabel('Ground, ha').fill('28');
	await expect(cover).toContainText('196 kg');
	await cover.getByLabel('Came up on').fill('2027-03-28');
	await cover.getByLabel('Came up on').press('Tab');
	await expect(cover).toContainText('on 4 Apr 2027');
	await expect(cover).toContainText('1400 kg to 2800 kg');
	await cover.getByText('Its leaves are small and dark').click();
	await cover.getByRole('button', { name: /28,?000 kg/ }).click();
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toContainText('amount of a hectare x ground');
});
