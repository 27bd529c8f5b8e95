// A made-up book of 2,000 fields and 10,000 zones: how long each main page takes to answer, what the server holds in
// memory, and how evenly the map of all fields pans. Prints JSON.
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGUMENTS, findChromium } from '../e2e/find-chromium';
import { bookFolder, startServer } from '../e2e/server';
import type { BookDocument } from '../src/core/schema-types';
import { boundsOf, type Shape } from '../src/core/ground/shapes/shape';
import Database from 'better-sqlite3';
import { quantile } from './traced-keys';

const FIELDS = 2000;
const ZONES = 5;
const ROUNDS = 9;

const FIRST_YEAR = 2017;

/** The years of a field, with those before them as its newest harvest was. */
function tenYears(years: BookDocument['growers'][0]['fields'][0]['years']): typeof years {
	const model = years.find(({ harvestedYield }) => harvestedYield !== undefined) ?? years.at(-1)!;
	const first = Math.min(...years.map(({ year }) => year));
	const older = Array.from({ length: first - FIRST_YEAR }, (_, at) => ({
		...model,
		year: FIRST_YEAR + at,
		choices: []
	}));
	return [...years, ...older];
}

/** The fields of the demo district again and again, each moved to a place of its own and cut into zones. */
function bigBook(): BookDocument {
	const demo = JSON.parse(readFileSync('demo/district.json', 'utf8')) as BookDocument;
	const models = demo.growers.flatMap(({ fields }) => fields).filter(({ boundary }) => boundary);
	const fields = Array.from({ length: FIELDS }, (_, at) => {
		const model = models[at % models.length]!;
		const [west, south, east, north] = boundsOf([model.boundary as unknown as Shape])!;
		const [x, y] = [-36 + (at % 50) * 0.02, 40 + Math.floor(at / 50) * 0.02];
		const moved = JSON.parse(
			JSON.stringify(model.boundary).replace(/\[(-?[\d.]+),(-?[\d.]+)\]/g, (_text, px: string, py: string) =>
				JSON.stringify([+(Number(px) - west + x).toFixed(6), +(Number(py) - south + y).toFixed(6)])
			)
		) as NonNullable<typeof model.boundary>;
		const width = (east - west) / ZONES;
		const zones = Array.from({ length: ZONES }, (_zone, zone) => {
			const [left, right] = [x + zone * width, x + (zone + 1) * width];
			const top = y + north - south;
			const shape = {
				type: 'Polygon' as const,
				coordinates: [
					[
						[left, y],
						[right, y],
						[right, top],
						[left, top],
						[left, y]
					]
				]
			};
			return { name: `Zone ${zone + 1}`, shape, facts: { yieldGoal: 120 + 20 * zone } };
		});
		const years = tenYears(model.years);
		return { ...model, name: `${model.name} ${at + 1}`, boundary: moved, zones, layers: [], bags: [], years };
	});
	const growers = Array.from({ length: 40 }, (_, grower) => ({
		name: `Grower ${grower + 1}`,
		fields: fields.filter((_field, at) => at % 40 === grower)
	}));
	return { ...demo, growers } as BookDocument;
}

const book = bookFolder();
const made = `${book.file}.json`;
writeFileSync(made, JSON.stringify(bigBook()));
// One server fills the book; the one that is measured opens it as it would any other day.
await (await startServer(book.file, { COSECHA_DEMO: made })).stop();
const db = new Database(book.file, { readonly: true });
const zones = db.prepare<[], { zones: number }>('SELECT count(*) AS zones FROM zone').get()!.zones;
db.close();
const server = await startServer(book.file);
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGUMENTS });
try {
	const [field] = (await (await fetch(`${server.origin}/api/fields?find=Crow+Acre`)).json()) as { id: string }[];
	const of = (word: string) => `/field/${field!.id}/2027/${word}`;
	const pages = [
		'/',
		'/orders',
		'/orders/csv?year=2027',
		'/map',
		'/map/fields',
		'/work?year=2027',
		`/years?by=book&from=${FIRST_YEAR}&to=2026`,
		`/years?by=grower&from=${FIRST_YEAR}&to=2026`,
		'/years',
		'/sampling',
		...['ground', 'zones', 'reading', 'rates', 'season', 'supply', 'sheet', 'book'].map(of)
	];
	const times: Record<string, number> = {};
	for (const page of pages) {
		const taken: number[] = [];
		for (let round = 0; round < ROUNDS; round++) {
			const start = performance.now();
			const response = await fetch(server.origin + page);
			await response.arrayBuffer();
			if (!response.ok) throw new Error(`${page} answered ${response.status}`);
			taken.push(performance.now() - start);
		}
		times[page.replace(field!.id, 'x')] = quantile(
			taken.sort((a, b) => a - b),
			0.5
		);
	}
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${server.origin}/map`);
	await page.getByText(`${FIELDS} of ${FIELDS} fields have a boundary.`).waitFor();
	const box = (await page.getByRole('region', { name: 'Map of all fields' }).boundingBox())!;
	// As text: what the loader adds to named functions is not there in the page.
	await page.evaluate(
		'window.frames_ = []; (function tick(now) { window.frames_.push(now); requestAnimationFrame(tick); })(performance.now())'
	);
	const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
	await page.mouse.move(x, y);
	await page.mouse.down();
	const start = await page.evaluate(() => performance.now());
	for (let move = 1; move <= 120; move++)
		await page.mouse.move(x + 150 * Math.sin(move / 12), y + 100 * Math.cos(move / 9) - 100);
	const end = await page.evaluate(() => performance.now());
	await page.mouse.up();
	const frames = ((await page.evaluate('window.frames_')) as number[]).filter((at) => at >= start && at <= end);
	const gaps = frames
		.slice(1)
		.map((at, before) => at - frames[before]!)
		.sort((a, b) => a - b);
	const status = readFileSync(`/proc/${server.process.pid}/status`, 'utf8');
	console.log(
		JSON.stringify({
			fields: FIELDS,
			zones,
			times,
			residentMb: Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024,
			peakMb: Number(/VmHWM:\s+(\d+)/.exec(status)![1]) / 1024,
			framesPerSecond: (1000 * (frames.length - 1)) / (frames.at(-1)! - frames[0]!),
			gapP95: quantile(gaps, 0.95)
		})
	);
} finally {
	await browser.close();
	await server.stop();
	book.remove();
}
