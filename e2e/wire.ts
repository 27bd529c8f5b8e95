import type { Page } from '@playwright/test';

/** Counts what comes over the wire from now on, all requests of a page as they are sent (compressed), in bytes. */
export async function countBytes(page: Page): Promise<() => number> {
	const session = await page.context().newCDPSession(page);
	await session.send('Network.enable');
	let bytes = 0;
	session.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
	return () => bytes;
}
