// How long a price that moves takes from the key to the painted optimum: the event timings of a browser trace of the
// built app with the demo book. Prints JSON.
import { chromium, type CDPSession } from '@playwright/test';
import { bookFolder, startServer } from '../e2e/server';
import { CHROMIUM_ARGUMENTS, findChromium } from '../e2e/find-chromium';

const KEYS = 80;

interface TraceEvent {
	name: string;
	ph: string;
	ts: number;
	id2?: { local?: string };
	args: { data?: { type?: string; duration?: number } };
}

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
	const session = await page.context().newCDPSession(page);
	const traced = collect(session);
	await session.send('Tracing.start', { categories: 'devtools.timeline', transferMode: 'ReportEvents' });
	const shown: string[] = [];
	for (let key = 0; key < KEYS; key++) {
		await page.keyboard.press(key % 40 < 20 ? 'ArrowRight' : 'ArrowLeft');
		shown.push((await nitrogen.getByRole('row', { name: /^Most profit/ }).innerText()).split('\t')[1] ?? '');
	}
	await session.send('Tracing.end');
	const times = keyTimes(await traced);
	times.sort((a, b) => a - b);
	const at = (share: number) => times[Math.min(times.length - 1, Math.floor(share * times.length))];
	console.log(
		JSON.stringify({ keys: times.length, optima: new Set(shown).size, median: at(0.5), p95: at(0.95), most: at(1) })
	);
} finally {
	await browser.close();
	await server.stop();
	book.remove();
}

function collect(session: CDPSession): Promise<TraceEvent[]> {
	const events: TraceEvent[] = [];
	session.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
	return new Promise((resolve) => session.once('Tracing.tracingComplete', () => resolve(events)));
}

/** Milliseconds from a key's arrival to the paint that shows it, of every key pressed down. */
function keyTimes(events: readonly TraceEvent[]): number[] {
	const starts = new Map<string, number>();
	return events.flatMap(({ name, ph, ts, id2, args }) => {
		if (name !== 'EventTiming') return [];
		const id = id2?.local ?? '';
		if (ph === 'b' && args.data?.type === 'keydown') starts.set(id, ts);
		const start = starts.get(id);
		if (ph !== 'e' || start === undefined) return [];
		starts.delete(id);
		return [(ts - start) / 1000];
	});
}
