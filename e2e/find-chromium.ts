import { existsSync } from 'node:fs';
import path from 'node:path';

// The shell first: it draws no frame of a browser around the page, which costs a third of the time.
const NAMES = ['chromium-headless-shell', 'chromium', 'chromium-browser', 'google-chrome'];

/** Without these Chromium looks for hosts that are not there. */
export const CHROMIUM_ARGUMENTS = [
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];

/** The browser for the tests: CHROME_PATH, or the first known name on PATH. */
export function findChromium(): string {
	const own = process.env.CHROME_PATH;
	if (own) return own;
	for (const folder of (process.env.PATH ?? '').split(path.delimiter)) {
		for (const name of NAMES) {
			const file = path.join(folder, name);
			if (existsSync(file)) return file;
		}
	}
	throw new Error('No Chromium found: install the package "chromium", or set CHROME_PATH to a Chromium or Chrome.');
}
