import { readFileSync } from 'node:fs';
import { expect, hydrated, test } from './app';

const STATE_GUIDE = 'demo/packs/central-plains-2003.json';

test.beforeEach(async ({ page, app }) => {
	await page.goto(`${app.server.origin}/guides`);
	await hydrated(page);
});

test('a guide for another state is imported from a file, gives rates, is set aside, and goes out as a file again', async ({
	page,
	app
}) => {
	await page.setInputFiles('input[type=file]', STATE_GUIDE);
	await expect(page.getByRole('heading', { name: 'Central plains guide 2003' })).toBeVisible();

	await app.openField('Kingfisher Bend', 'rates');
	const phosphate = page.getByRole('region', { name: 'Phosphate' });
	// MF-2586, corn 160 bu at 10 ppm: 50 + 0.2 x 160 - 2.5 x 10 - 0.01 x 160 x 10 = 41 (equation from memory).
	await expect(phosphate.getByRole('button', { name: /Central plains guide 2003.*: 41 lb\/ac/ })).toBeVisible();
	await phosphate.getByRole('button', { name: 'Details' }).click();
	await phosphate.getByRole('button', { name: 'Choose P2O5 by sufficiency, Central plains guide 2003' }).click();
	await expect(page.getByRole('link', { name: /^Rates N 161 P 41/ })).toBeVisible();

	await page.goto(`${app.server.origin}/guides`);
	await hydrated(page);
	await page.getByText('Use Northern plains guides').locator('..').click();
	await expect(page.getByRole('button', { name: 'Undo: Set Northern plains guides aside' })).toBeVisible();
	await app.openField('Kingfisher Bend', 'rates');
	await expect(phosphate.getByText('Northern plains guides')).toHaveCount(0);

	const out = await fetch(`${app.server.origin}/guides/central-plains-2003/file`);
	expect(out.headers.get('content-disposition')).toContain('central-plains-2003-1.0.0.json');
	expect(await out.json()).toEqual(JSON.parse(readFileSync(STATE_GUIDE, 'utf8')));
});

test('a copy shows what comes out and which rates move before it is saved, and keeps its versions', async ({
	page,
	app
}) => {
	await page.getByRole('link', { name: 'Tri-state guide 1995' }).click();
	await page.getByRole('button', { name: 'Copy it to change' }).click();
	const trial = page.getByRole('complementary');
	await expect(trial).toContainText('11 of 11 worked examples come out');
	await expect(trial).toContainText('On none of the 21 open fields');

	const level = page.getByLabel('P2O5 by build-up and maintenance, Corn, critical level ppm, constant');
	await level.fill('18');
	await expect(trial).toContainText('should give 84.2 but gives 99.2');
	await expect(page.getByRole('button', { name: 'Save the guide' })).toBeDisabled();
	const phosphorus = page.getByRole('region', { name: 'P2O5 by build-up and maintenance' });
	await phosphorus.getByLabel('Example 1 should give').fill('99.2');
	await expect(trial).toContainText('11 of 11 worked examples come out');
	await expect(trial.getByRole('row', { name: /Kingfisher Bend/ })).toContainText('84.2');
	await expect(trial.getByRole('row', { name: /Kingfisher Bend/ })).toContainText('99.2');

	// What was typed is there after a reload.
	await page.reload();
	await hydrated(page);
	await page.getByRole('button', { name: 'Go on with it' }).click();
	await expect(level).toHaveValue('18');
	await page.getByRole('button', { name: 'Save the guide' }).click();
	await expect(page.getByRole('heading', { name: 'My Tri-state guide 1995' })).toBeVisible();
	await app.openField('Kingfisher Bend', 'rates');
	await expect(
		page.getByRole('region', { name: 'Phosphate' }).getByRole('button', { name: /My Tri-state.*: 99.2 lb\/ac/ })
	).toBeVisible();

	await page.goto(`${app.server.origin}/guides/my-tri-state-1995`);
	await hydrated(page);
	await page.getByRole('button', { name: 'Change it' }).click();
	await expect(page.getByLabel('Version')).toHaveValue('1.0.1');
	await page.getByRole('region', { name: 'N by yield goal' }).getByLabel('Title').fill('N by goal');
	await page.getByRole('button', { name: 'Save the guide' }).click();
	await expect(page.getByRole('link', { name: '1.0.0' })).toBeVisible();
	await expect(page.getByRole('link', { name: '1.0.1' })).toBeVisible();
	await expect(page.getByText('N by goal').first()).toBeVisible();
});

test('a bad guide is refused with the line, and nothing is changed', async ({ page }) => {
	const lines = readFileSync(STATE_GUIDE, 'utf8').split('\n');
	const lineOf = (words: string) => lines.findIndex((line) => line.includes(words)) + 1;
	const broken: [change: (text: string) => string, line: number, words: string][] = [
		[(text) => text.replace('"linear-sufficiency"', '"astrology"'), lineOf('"linear-sufficiency"'), 'is no rule kind'],
		[(text) => text.replace('"lb/ac"', '"stone/ac"'), lineOf('"lb/ac"'), 'must be one of lb/ac'],
		[(text) => text.replace('"gives": 40,', '"gives": 41,'), lineOf('"gives": 40,'), 'should give 41 but gives 40'],
		[(text) => text.replace('"rules": [', '"rules": [,'), lineOf('"rules": ['), 'is not JSON']
	];
	for (const [change, line, words] of broken) {
		const text = change(lines.join('\n'));
		await page.setInputFiles('input[type=file]', {
			name: 'guide.json',
			mimeType: 'application/json',
			buffer: Buffer.from(text)
		});
		const refused = page.getByRole('alert').filter({ hasText: 'guide.json was not taken' });
		await expect(refused).toContainText(`Line ${line}`);
		await expect(refused).toContainText(words);
		await expect(page.getByRole('link', { name: 'Central plains guide 2003' })).toHaveCount(0);
	}
});

test('a guide that mixes the pH scales, or takes a shipped name, is refused', async ({ app }) => {
	const shipped = readFileSync('packs/acid-soils-cacl2.json', 'utf8');
	const send = async (text: string) => {
		const response = await app.post('/api/guides', { text });
		return { status: response.status, said: JSON.stringify(await response.json()) };
	};
	const mixed = await send(
		shipped.replace('"id": "acid-soils-cacl2"', '"id": "mixed"').replace('"scale": "cacl2"', '"scale": "water"')
	);
	expect(mixed.status).toBe(422);
	expect(mixed.said).toContain('the two pH scales are never mixed');
	const taken = await send(shipped);
	expect(taken.status).toBe(409);
	expect(taken.said).toContain('comes with the program');
});
