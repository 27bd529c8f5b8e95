import { expect, hydrated, test } from './app';
import { countBytes } from './wire';

/** What a first visit may bring over the wire, kB. */
const LIMITS = { roster: 130, rates: 220, season: 350, zones: 330 };

test('a first visit brings no more bytes than it may, and no styles of forms where there is none', async ({
	browser,
	app
}) => {
	const field = await app.fieldId('Crow Acre');
	for (const [name, limit] of Object.entries(LIMITS)) {
		// A context of its own has an empty cache.
		const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
		const page = await context.newPage();
		const bytes = await countBytes(page);
		const answer = await page.goto(app.server.origin + (name === 'roster' ? '/' : `/field/${field}/2027/${name}`), {
			waitUntil: 'networkidle'
		});
		// The letters are asked for with the page: else it is laid out twice.
		expect(answer?.headers()['link'], name).toMatch(/often\.[^>]*\.woff2>; rel="preload"; as="font"/);
		await hydrated(page);
		expect(bytes() / 1000, name).toBeGreaterThan(limit / 2);
		expect(bytes() / 1000, name).toBeLessThan(limit);
		const styles = await page.locator('link[rel=stylesheet][href*="/forms."]').count();
		expect(styles, name).toBe(name === 'roster' ? 0 : 1);
		await context.close();
	}
});

test('a form that opens on the roster has its own styles', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/`);
	await hydrated(page);
	await page.getByRole('button', { name: 'New field' }).click();
	const name = page.getByRole('dialog').getByRole('textbox').first();
	await expect(name).toHaveCSS('background-color', 'rgb(255, 255, 255)');
	await expect(name).toHaveCSS('border-bottom-style', 'solid');
});
