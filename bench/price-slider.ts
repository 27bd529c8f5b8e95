// How long a price that moves takes from the key to the painted optimum: the event timings of a browser trace of the
// built app with the demo book. Prints JSON.
import { chromium } from '@playwright/test';
import { bookFolder, startServer } from '../e2e/server';
import { CHROMIUM_ARGUMENTS, findChromium } from '../e2e/find-chromium';
import { quantile, traced } from './traced-keys';

const KEYS = 80;

const book = bookFolder();
const server = await startServer(book.file, { COSECHA_DEMO: 'demo/district.json' });
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGUMENTS });
try {
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	const [field] = (await (await fetch(`${server.origin}/api/fields?find=Kingfisher`)).json()) as { id: string }[];
	await page.goto(`${server.origin}/field/${field!.id}/2027/rates`);
	await page.locator('body[data-ready]').waitFor({ state: 'attached' });
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Yield and return' }).click();
	await nitrogen.getByRole('img', { name: /Yield and return/ }).waitFor();
	const slider = nitrogen.getByRole('slider', { name: /Nitrogen, \$ per lb/ });
	await slider.focus();
	const shown: string[] = [];
	const times = await traced(await page.context().newCDPSession(page), 'keydown', async () => {
		for (let key = 0; key < KEYS; key++) {
			await page.keyboard.press(key % 40 < 20 ? 'ArrowRight' : 'ArrowLeft');
			shown.push((await nitrogen.getByRole('row', { name: /^Economic optimum/ }).innerText()).split('\t')[1] ?? '');
		}
	});
	console.log(
		JSON.stringify({
			keys: times.length,
			optima: new Set(shown).size,
			median: quantile(times, 0.5),
			p95: quantile(times, 0.95),
			most: times.at(-1)
		})
	);
} finally {
	await browser.close();
	await server.stop();
	book.remove();
}
