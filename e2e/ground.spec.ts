import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, hydrated, test } from './app';
import { act } from './row-menu';

const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
const square = (x: number, y: number, w: number, h: number) => [
	[x, y],
	[x + w, y],
	[x + w, y + h],
	[x, y + h],
	[x, y]
];
const geojson = (coordinates: number[][][], name = 'North') =>
	JSON.stringify({
		type: 'FeatureCollection',
		features: [{ type: 'Feature', properties: { name }, geometry: { type: 'Polygon', coordinates } }]
	});
/** Seeded numbers from 0 to 1. */
function chance(seed: number): () => number {
	return () => (seed = (seed * 16807) % 2147483647) / 2147483647;
}

test('a boundary from files: what cannot be used is refused in words, then one is taken, mended by hand and undone', async ({
	page,
	app
}) => {
	await app.openField('Old Orchard Piece', 'zones');
	const upload = region(page, 'Import a map file').locator('input[type=file]');
	const alert = region(page, 'Import a map file').getByRole('alert');
	for (const [name, text, message] of [
		['broken.geojson', '{"type":', 'is broken'],
		['metres.geojson', geojson([square(500000, 4500000, 300, 300)]), undefined],
		[
			'crossing.geojson',
			geojson([
				[
					[-34.95, 41],
					[-34.94, 41.01],
					[-34.94, 41],
					[-34.95, 41.01],
					[-34.95, 41]
				]
			]),
			undefined
		]
	] as const) {
		await upload.setInputFiles(file(name, text));
		if (message) await expect(alert).toContainText(message);
	}
	await expect(region(page, 'Import a map file')).toContainText('crosses itself near -34.94500, 41.00500');
	await expect(region(page, 'Import a map file').getByRole('button', { name: 'Take as boundary' })).toHaveCount(0);
	await upload.setInputFiles(file('metres.geojson', geojson([square(500000, 4500000, 300, 300)])));
	await expect(region(page, 'Import a map file')).toContainText(
		'no longitude and latitude in degrees: export it in WGS 84'
	);
	await expect(region(page, 'Boundary')).toContainText('22 ac');
	await upload.setInputFiles(
		file(
			'north.geojson',
			geojson([square(-34.95, 41, 0.004, 0.003), [...square(-34.949, 41.001, 0.0005, 0.0005)].reverse()])
		)
	);
	await page.getByRole('button', { name: 'Take as boundary' }).click();
	// 0.004 by 0.003 degrees at 41 north less a hole, by the ellipsoid.
	await expect(region(page, 'Boundary')).toContainText('27.1 ac');
	await region(page, 'Boundary').getByRole('button', { name: 'Type its corners' }).click();
	const corners = region(page, 'Boundary').getByLabel(/^Corners/);
	await expect(corners).toHaveValue(/^-34\.95, 41\n/);
	await corners.fill('-34.95, 41\n-34.946, here');
	await region(page, 'Boundary').getByRole('button', { name: 'Save the corners' }).click();
	await expect(region(page, 'Boundary').getByRole('alert')).toHaveText(
		'“-34.946, here” must be a longitude and a latitude, such as -93.62, 42.03.'
	);
	await corners.fill('-34.95, 41\n-34.946, 41\n-34.946, 41.003\n-34.95, 41.003');
	await region(page, 'Boundary').getByRole('button', { name: 'Save the corners' }).click();
	await expect(region(page, 'Boundary')).toContainText('27.7 ac');
	await page.keyboard.press('Control+z');
	await expect(region(page, 'Boundary')).toContainText('27.1 ac');
});

test('a log becomes a layer, a surface with its error, zones by variance; all in lists beside the map', async ({
	page,
	app
}) => {
	await app.openField('Kingfisher Bend', 'zones');
	const upload = region(page, 'Import a map file');
	const next = chance(5);
	const rows = Array.from({ length: 3000 }, () => {
		const [x, y] = [-35.004 + next() * 0.008, 40.9975 + next() * 0.005];
		return `${x.toFixed(6)},${y.toFixed(6)},${((x > -35 ? 40 : 12) + next() * 3).toFixed(1)}`;
	});
	await upload
		.locator('input[type=file]')
		.setInputFiles(file('veris.csv', `longitude,latitude,EC_sh\n${rows.join('\n')}`));
	await expect(upload.getByLabel('It is')).toHaveValue('conductivity');
	await upload.getByRole('button', { name: 'Save as a layer' }).click();
	await expect(upload).toContainText(/EC_sh is a layer of \d+ points/);
	await expect(upload).toContainText(/\d+ of 3000 points lie outside the field/);
	const layers = region(page, 'Layers');
	await layers.getByText(/P by sample, 2026/).click();
	await layers.getByRole('button', { name: 'Show the surface' }).click();
	await expect(layers).toContainText(/By kriging from 55 points\. Left out one at a time, each is missed by/);
	await expect(layers).toContainText('A variogram of 55 points is a rough guess; about 100 are wanted.');
	await expect(page.getByRole('img', { name: 'Legend: P by sample, 2026, surface' })).toContainText('to');
	await layers.getByText('none', { exact: true }).click();
	const zones = region(page, 'Zones');
	await zones.getByText('EC_sh', { exact: true }).click();
	await zones.getByRole('button', { name: 'Make the zones' }).click();
	await expect(zones).toContainText('Worth having by that: 2.');
	await expect(zones.getByRole('button', { name: 'Low', exact: true })).toBeVisible();
	await act(zones, 'Rename', 'What to do with Low');
	await zones.getByLabel('Name of the zone').fill('Sand');
	await zones.getByRole('button', { name: 'Save the name' }).click();
	const rates = region(page, 'Rates by zone');
	await expect(rates.getByRole('row', { name: /^Sand/ }).first()).toContainText(/P \d+/);
	await act(zones, 'What is known', 'What to do with Sand');
	const form = page.getByRole('dialog');
	await form.getByLabel('Yield goal').fill('120');
	await form.getByLabel('K2O, lb/ac').fill('90');
	await form.getByRole('button', { name: 'Save it' }).click();
	await expect(form.getByText('Say why K2O is 90 in Sand.')).toBeVisible();
	await form.getByLabel('Why, K2O').fill('Poor stand last year');
	await form.getByRole('button', { name: 'Save it' }).click();
	await expect(rates.getByRole('row', { name: /^Sand/ }).first()).toContainText('goal 120');
	await expect(rates.getByRole('row', { name: /^Sand/ }).first()).toContainText('90 lb/ac');
	await page.keyboard.press('Control+z');
	await expect(rates.getByRole('row', { name: /^Sand/ }).first()).not.toContainText('goal 120');
	await page.getByRole('button', { name: 'Set these goals' }).click();
	await expect(rates.getByRole('row', { name: /^High/ }).first()).toContainText('goal');
	await zones.getByText('Make a grid of squares').click();
	await zones.getByLabel('Squares of, acres').fill('5');
	await zones.getByRole('button', { name: 'Make the grid' }).click();
	await expect(zones.getByRole('button', { name: /^[A-Z]\d$/ })).not.toHaveCount(0);
});

test('on the strip field nitrogen is low, high and low again from the knob to the bottom', async ({ page, app }) => {
	await app.openField('Brick Kiln', 'zones', 2026);
	const rates = region(page, 'Rates by zone');
	await rates.getByLabel('of', { exact: true }).selectOption('N');
	const row = rates.getByRole('row', { name: /N-rich and zero-N strips/ });
	const cells = await row.getByRole('cell').allTextContents();
	const [knob, slope, bottom] = cells.slice(1).map((text) => Number.parseFloat(text));
	expect(slope).toBeGreaterThan(knob! * 1.3);
	expect(slope).toBeGreaterThan(bottom! * 2);
	expect(bottom).toBeLessThan(knob!);
});

test('drawn with the mouse: a zone is cut by the boundary, a corner is moved, a line is measured', async ({
	page,
	app
}) => {
	await app.openField('Crow Acre', 'zones');
	const map = region(page, 'Map of Crow Acre');
	await expect(map.locator('canvas').first()).toBeVisible();
	const box = (await map.boundingBox())!;
	const at = (x: number, y: number) => ({ position: { x: box.width * x, y: box.height * y } });
	await page.getByRole('button', { name: 'Measure a line' }).click();
	await map.click(at(0.3, 0.5));
	await map.dblclick(at(0.7, 0.5));
	await expect(page.getByText(/^\d+ ft \(\d+ m\)$/)).toBeVisible();
	await region(page, 'Zones').getByRole('button', { name: 'Draw a zone' }).click();
	for (const [x, y] of [
		[0.1, 0.03],
		[0.5, 0.03],
		[0.5, 0.97]
	] as const)
		await map.click(at(x, y));
	await map.dblclick(at(0.1, 0.97));
	const item = region(page, 'Zones').getByRole('listitem').filter({ hasText: 'Zone 1' });
	await expect(item).toContainText(/[789]\.?\d* ac/);
	await page.getByRole('button', { name: 'Leave off drawing zones' }).click();
	await act(item, 'Delete');
	await expect(item).toHaveCount(0);
	await page.keyboard.press('Control+z');
	await expect(item).toHaveCount(1);
	// A corner of the zone is dragged inwards: its ground gets less.
	const acres = async () => Number.parseFloat(/([\d.]+) ac/.exec((await item.textContent())!)![1]!);
	const before = await acres();
	await act(item, 'Edit');
	// The page may have moved since: the menu of the zone stands further down.
	await map.scrollIntoViewIfNeeded();
	const now = (await map.boundingBox())!;
	const corner = { x: now.x + now.width * 0.5, y: now.y + now.height * 0.5 };
	await page.mouse.move(corner.x, corner.y);
	await page.mouse.down();
	await page.mouse.move(corner.x - 25, corner.y, { steps: 6 });
	await page.mouse.up();
	await expect.poll(acres).toBeLessThan(before - 0.3);
	await act(item, 'Stop editing');
	// Sample points: one clicked on the map, one typed; they are a layer, and one can be taken out again.
	const points = region(page, 'Sample points');
	await points.getByLabel('Name of the new layer').fill('K by hand');
	await points.getByLabel('Points are of').selectOption('K');
	await points.getByRole('button', { name: 'Click its place on the map' }).click();
	await map.click(at(0.5, 0.5));
	await expect(points.getByLabel('Longitude')).toHaveValue(/^-\d+\.\d+$/);
	await points.getByRole('button', { name: 'Save the point' }).click();
	await expect(points.getByRole('alert')).toHaveText('Value: “” must be a number.');
	await points.getByLabel('Value').fill('88');
	await points.getByRole('button', { name: 'Save the point' }).click();
	await expect(points).toContainText('They are added to K by hand, which is on the map.');
	await points.getByLabel('Longitude').fill('-30');
	await points.getByLabel('Value').fill('90');
	await points.getByRole('button', { name: 'Save the point' }).click();
	await expect(points.getByRole('alert')).toContainText('lies outside the field’s boundary');
	await map.click(at(0.45, 0.4));
	await points.getByRole('button', { name: 'Save the point' }).click();
	await expect(region(page, 'Layers')).toContainText('K by hand, 2 points');
	await points.getByText('Points of K by hand').click();
	await points.getByRole('button', { name: 'Delete point 1' }).click();
	await expect(region(page, 'Layers')).toContainText('K by hand, 1 points');
});

test('a prescription: made, handed out in four kinds of files, read back the same, run by a monitor, booked', async ({
	page,
	app
}, info) => {
	const id = await app.fieldId('Crow Acre');
	const boundary = JSON.parse(await (await fetch(`${app.server.origin}/map/fields`)).text()) as {
		features: { id: string; geometry: { coordinates: [number, number][][] } }[];
	};
	const ring = boundary.features.find((feature) => feature.id === id)!.geometry.coordinates[0]!;
	const [west, east] = [Math.min(...ring.map(([x]) => x)), Math.max(...ring.map(([x]) => x))];
	const [south, north] = [Math.min(...ring.map(([, y]) => y)), Math.max(...ring.map(([, y]) => y))];
	const middle = (west + east) / 2;
	const half = (x: number, w: number) => ({ type: 'Polygon', coordinates: [square(x, south, w, north - south)] });
	const zones = [
		{ name: 'West', shape: half(west, middle - west), facts: { values: { K: 60 } } },
		{ name: 'East', shape: half(middle, east - middle), facts: { values: { K: 150 } } }
	];
	expect((await app.post(`/api/fields/${id}/zones`, { zones }, 'PUT')).ok).toBe(true);
	await app.openField('Crow Acre', 'zones');
	const part = region(page, 'Prescriptions');
	await part.getByLabel('For the pass').selectOption({ label: 'K before planting, Muriate of potash 0-0-60' });
	await part.getByLabel('Least, lb/ac').fill('lots');
	await part.getByRole('button', { name: 'Make the prescription' }).click();
	await expect(part).toContainText('Least: “lots” must be a number from 0.');
	await part.getByLabel('Least, lb/ac').fill('50');
	await part.getByLabel('Outside, lb/ac').fill('100');
	await part.getByRole('button', { name: 'Make the prescription' }).click();
	const made = part.getByRole('article');
	await expect(made).toContainText('K before planting, by zone');
	await expect(made).toContainText(/In all [\d,]+ lb/);
	await expect(page).toHaveURL(/prescription=/);
	const rateOf = async (zone: string) =>
		Number.parseFloat(
			(await made
				.getByRole('row', { name: new RegExp(`^${zone}`) })
				.getByRole('cell')
				.nth(2)
				.textContent())!
		);
	expect(await rateOf('West')).toBeGreaterThan(await rateOf('East'));
	await page.getByRole('button', { name: 'Switch units' }).click();
	// 240 lb/ac.
	await expect(made.getByRole('row', { name: /^West/ })).toContainText('269 kg/ha');
	await page.getByRole('button', { name: 'Switch units' }).click();
	await expect(made.getByRole('row', { name: /^West/ })).toContainText('240 lb/ac');
	const season = page.getByRole('table', { name: 'Passes by zone' });
	await expect(season.getByRole('row', { name: /^K before planting/ })).toContainText(/24\d\.?\d* lb\/ac.*50/);
	await expect(season.getByRole('row', { name: /^K2O in all/ })).toContainText(/145\.\d lb\/ac.*30\.\d lb\/ac/);
	const links = await made.getByRole('link').evaluateAll((all) => all.map((one) => one.getAttribute('href')!));
	const files = await Promise.all(
		links.map(async (link) => {
			const response = await fetch(app.server.origin + link);
			const name = /filename="([^"]+)"/.exec(response.headers.get('content-disposition')!)![1]!;
			return { name, mimeType: 'application/octet-stream', buffer: Buffer.from(await response.arrayBuffer()) };
		})
	);
	expect(files.map(({ name }) => name.replace(/^.*2027/, ''))).toEqual([
		'.geojson',
		'-shapefile.zip',
		'-task-data.zip',
		'.csv'
	]);
	for (const one of files) {
		await made.getByLabel(/^Read a file back/).setInputFiles(one);
		await expect(made.getByRole('status')).toContainText(`${one.name} says the same: 2 parts.`);
	}
	const broken = { ...files[0]!, buffer: Buffer.from(files[0]!.buffer.toString().replace('"RATE":', '"RATE":9')) };
	await made.getByLabel(/^Read a file back/).setInputFiles(broken);
	await expect(made.getByRole('status')).toContainText('in the file');
	const onDisk = info.outputPath(files[2]!.name);
	writeFileSync(onDisk, files[2]!.buffer);
	const logged = execFileSync('npx', ['--no-install', 'tsx', 'demo/monitor.ts', onDisk], { encoding: 'utf8' });
	await made.getByLabel(/^The monitor’s log/).setInputFiles(file('log.csv', logged.replaceAll('lb/ac', 'kg/ha')));
	await expect(made.getByRole('status')).toContainText('log.csv is in kg/ha; the prescription is in lb/ac.');
	await made.getByLabel('Applied on').fill('2026-11-20');
	await made.getByLabel('Applied on').blur();
	await made.getByLabel(/^The monitor’s log/).setInputFiles(file('log.csv', logged));
	await expect(made.getByRole('status')).toContainText(/\d+ logged points are recorded; the pass is applied\./);
	await expect(made).toContainText(/Applied .*2026.* over \d+ % of the ground/);
	const applied = Number.parseFloat(
		(await made.getByRole('row', { name: /^West/ }).getByRole('cell').nth(3).textContent())!
	);
	expect(Math.abs(applied / (await rateOf('West')) - 1)).toBeLessThan(0.1);
	await app.openField('Crow Acre', 'season');
	await expect(
		page.getByRole('region', { name: 'All passes' }).getByRole('row', { name: /K before planting/ })
	).toContainText('20 Nov');
	await app.openField('Crow Acre', 'book');
	const log = region(page, 'The monitor’s log: K before planting, by zone');
	await expect(log.getByRole('row', { name: /^West/ })).toContainText(/240 lb\/ac/);
	await app.openField('Crow Acre', 'sheet');
	await expect(page.getByText('By prescription: West 240 lb/ac on')).toBeVisible();
	await expect(page.getByRole('link', { name: 'ISO 11783-10 task data' })).toBeVisible();
});

test('the map of all fields: found by words, shown, opened from the list and by the mouse', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/map`);
	await hydrated(page);
	await expect(page.getByText('18 of 21 fields have a boundary.')).toBeVisible();
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Download the ground as GeoPackage' }).click();
	expect((await download).suggestedFilename()).toBe('ground-2027.gpkg');
	expect(
		readFileSync(await (await download).path())
			.subarray(0, 15)
			.toString()
	).toBe('SQLite format 3');
	const legend = page.getByRole('list', { name: 'Legend' });
	await expect(legend).toContainText(/Corn\s*\d/);
	await page.getByLabel('Colour by').selectOption('soil pH');
	await expect(legend).toContainText(/4\.\d to \d/);
	await expect(page.getByRole('listitem').filter({ hasText: 'Lagoon One' })).toContainText('no boundary');
	await page.getByRole('searchbox', { name: 'Find a field or grower' }).fill('merrow hill');
	await page.getByRole('button', { name: 'Show Filbert Hill on the map' }).click();
	const map = page.getByRole('region', { name: 'Map of all fields' });
	await map.click();
	await expect(page).toHaveURL(/\/field\/.*\/ground/);
	await expect(page.getByRole('heading', { name: 'Filbert Hill' })).toBeVisible();
});

test('a sample is put right, every value of it, and undone', async ({ page, app }) => {
	await app.openField('Crow Acre', 'ground');
	await hydrated(page);
	const samples = page.getByRole('region', { name: 'Samples' });
	const inUse = samples.getByRole('table', { name: 'The sample as the lab wrote it' }).first();
	const before = await inUse.getByRole('row', { name: /^potassium/ }).innerText();
	await samples.getByRole('button', { name: 'Correct this sample' }).first().click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('potassium', { exact: true }).fill('much');
	await dialog.getByRole('button', { name: 'Save the sample' }).click();
	await expect(dialog.getByText('potassium: “much” is no number, 0 or more.')).toBeVisible();
	await dialog.getByLabel('potassium', { exact: true }).fill('77');
	await dialog.getByLabel('Another analyte').selectOption('Fe');
	await dialog.getByLabel('iron', { exact: true }).fill('<4');
	await dialog.getByRole('button', { name: 'Save the sample' }).click();
	await expect(inUse.getByRole('row', { name: /^potassium.* 77$/ })).toBeVisible();
	await expect(inUse.getByRole('row', { name: /^iron.* <4$/ })).toBeVisible();
	await page.getByRole('button', { name: 'Undo: Corrected a sample' }).click();
	await expect(inUse.getByRole('row', { name: /^potassium/ })).toHaveText(before.replace(/\s+/g, ' '), {
		useInnerText: true
	});
});

test('a lab’s corrected report takes the place of its sample, and says which sheet is out of date', async ({
	page,
	app
}) => {
	const csv = (potash: number) =>
		file(
			'again.csv',
			`Grower,Field,Date,Lab No,pH (1:1),K (ppm)\nTarrow & Daughters,Crow Acre,2026-11-19,77,6.1,${potash}\n`
		);
	const upload = async (potash: number) => {
		await page.goto(`${app.server.origin}/import`);
		await hydrated(page);
		await page.locator('input[type=file]').setInputFiles(csv(potash));
		await expect(page.getByRole('heading', { name: 'again.csv' })).toBeVisible();
		await hydrated(page);
		await page.getByLabel('Lab (its columns are remembered)').fill('Fenmoor');
	};
	const commit = async () => {
		await page.getByRole('button', { name: 'Import 1 row' }).click();
		await expect(page.getByText('imported', { exact: true }).first()).toBeVisible();
	};
	await upload(119);
	await commit();
	const issued = await app.post(`/api/fields/${await app.fieldId('Crow Acre')}/2027/sheets`, {});
	expect(issued.ok, await issued.clone().text()).toBe(true);
	await upload(91);
	const rows = page.getByRole('table', { name: 'Rows of the file' });
	await expect(rows).toContainText('Crow Acre already has this sample in the book');
	await rows.getByRole('button', { name: 'It is the lab’s correction: replace it' }).click();
	await expect(rows).toContainText(/Replaces the sample in the book; sheet no\. \d+ will be out of date\./);
	await commit();
	await app.openField('Crow Acre', 'ground');
	const inUse = page.getByRole('table', { name: 'The sample as the lab wrote it' }).first();
	await expect(inUse.getByRole('row', { name: /^potassium.* 91$/ })).toBeVisible();
});
