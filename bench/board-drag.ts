// How long a pass that is moved on the season board takes from the pointer or the key to the painted curves and checks: the
// event timings of a browser trace of the built app with the demo book, and the long task of each pointer move. Prints JSON.
import { chromium } from '@playwright/test';
import { bookFolder, startServer } from '../e2e/server';
import { CHROMIUM_ARGUMENTS, findChromium } from '../e2e/find-chromium';
import { quantile, traced } from './traced-keys';

const KEYS = 60;
const MOVES = 60;
/** Pixels that one move goes: more than a day. */
const STEP = 6;

const book = bookFolder();
const server = await startServer(book.file, { COSECHA_DEMO: 'demo/district.json' });
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGUMENTS });
try {
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	const [field] = (await (await fetch(`${server.origin}/api/fields?find=Crow+Acre`)).json()) as { id: string }[];
	await page.goto(`${server.origin}/field/${field!.id}/2027/season`);
	await page.locator('body[data-ready]').waitFor({ state: 'attached' });
	const board = page.getByRole('region', { name: 'The board' });
	const card = board.getByRole('button', { name: /^Side-dress at V5 to V7 on/ });
	const chart = board.getByRole('img', { name: /Soil mineral N/ });
	// The first move loads what draws the curves.
	await card.focus();
	await page.keyboard.press('ArrowRight');
	await chart.locator('canvas').waitFor();
	const session = await page.context().newCDPSession(page);
	const days = new Set<string>();
	const keys = await traced(session, 'keydown', async () => {
		for (let key = 0; key < KEYS; key++) {
			await page.keyboard.press(key % 30 < 15 ? 'ArrowLeft' : 'ArrowRight');
			days.add((await card.getAttribute('title')) ?? '');
		}
	});
	// Pointer moves are no discrete events and have no timing of their own in a trace: from each move to the frame after the
	// one that paints it, by the page's own clock.
	const box = (await card.boundingBox())!;
	await page.evaluate(() => {
		const seen: number[] = [];
		(window as unknown as { seen: number[] }).seen = seen;
		window.addEventListener(
			'mousemove',
			({ timeStamp }) =>
				requestAnimationFrame(() => {
					const channel = new MessageChannel();
					channel.port1.onmessage = () => seen.push(performance.now() - timeStamp);
					channel.port2.postMessage(undefined);
				}),
			true
		);
	});
	await page.mouse.move(box.x + 40, box.y + 12);
	await page.mouse.down();
	for (let move = 1; move <= MOVES; move++) {
		await page.mouse.move(box.x + 40 + (move % 30 < 15 ? -1 : 1) * STEP * (move % 15), box.y + 12);
		days.add((await card.getAttribute('title')) ?? '');
	}
	const moves = await page.evaluate(() => (window as unknown as { seen: number[] }).seen);
	await page.mouse.up();
	moves.sort((a, b) => a - b);
	console.log(
		JSON.stringify({
			keys: keys.length,
			moves: moves.length,
			days: days.size,
			keyMedian: quantile(keys, 0.5),
			keyP95: quantile(keys, 0.95),
			moveMedian: quantile(moves, 0.5),
			moveP95: quantile(moves, 0.95)
		})
	);
} finally {
	await browser.close();
	await server.stop();
	book.remove();
}
