// What a first visit brings over the wire, all requests of a page as they are sent (compressed), kB, and the first paint, ms.
// Prints JSON.
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGUMENTS, findChromium } from '../e2e/find-chromium';
import { bookFolder, startServer } from '../e2e/server';
import { countBytes } from '../e2e/wire';

const SERVER_ASKED = 5;
/** Of each page; the first paint is that of the middle one. */
const VISITS = 5;

const book = bookFolder();
const server = await startServer(book.file, { COSECHA_DEMO: 'demo/district.json' });
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGUMENTS });
try {
	const [field] = (await (await fetch(`${server.origin}/api/fields?find=Crow+Acre`)).json()) as { id: string }[];
	const pages = {
		roster: '/',
		...Object.fromEntries(['rates', 'season', 'zones'].map((word) => [word, `/field/${field!.id}/2027/${word}`]))
	};
	const loads: Record<string, { kb: number; firstPaintMs: number }> = {};
	for (const [name, path] of Object.entries(pages)) {
		// The visitor is new to the page, the server is not.
		for (let ask = 0; ask < SERVER_ASKED; ask++) await (await fetch(server.origin + path)).text();
		const visits = [];
		for (let visit = 0; visit < VISITS; visit++) visits.push(await firstVisit(server.origin + path));
		const paints = visits.map(({ firstPaintMs }) => firstPaintMs).sort((a, b) => a - b);
		loads[name] = { kb: visits[0]!.kb, firstPaintMs: paints[(VISITS - 1) / 2]! };
	}
	console.log(JSON.stringify(loads));
} finally {
	await browser.close();
	await server.stop();
	book.remove();
}

async function firstVisit(url: string): Promise<{ kb: number; firstPaintMs: number }> {
	// A context of its own has an empty cache.
	const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
	const page = await context.newPage();
	// A browser that stands open: how long it takes to start is not the page's.
	await page.evaluate(() => new Promise((settled) => requestIdleCallback(settled)));
	const bytes = await countBytes(page);
	await page.goto(url, { waitUntil: 'networkidle' });
	await page.locator('body[data-ready]').waitFor({ state: 'attached' });
	const firstPaintMs = await page.evaluate(
		() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? Infinity
	);
	await context.close();
	return { kb: bytes() / 1000, firstPaintMs };
}
