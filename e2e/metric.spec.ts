// An office that reads metric units meets no US unit on its pages.
import { expect, test, type App } from './app';
import { PAGES, WORDS } from './places';

/** A weather file may come in US units, guides are quoted, and trials still speak them. */
const LEFT = ['/weather', '/guides', '/trials', '/trials/new', '/trials/calibrate'];
const OFFICE = [...PAGES.filter((page) => !LEFT.includes(page)), '/prices', '/water', '/curves/fit'];
/** A US unit on its own, or behind a number; "in 2026" and the "in use" of a sample numbered 882 are none. */
const US =
	/\b(?:lbs?|acres?|ac|bu|pounds?|inch(?:es)?|feet|gal|gallons?|tons?)\b|\b\d[\d.,]* ?(?:in|ft|F|oz)\b(?! \d{4}| (?:use|water|CaCl2)\b)/;
/** The step of a worksheet that converts says from what, and a note in the demo book is the adviser's own. */
const QUOTED = [/ x \d+\.\d{5}/, /no\. [\w-]+, in use/, /18 x 18 ft/, /Placement and timing of 160 lb N/];

function phrasesOf(html: string): string[] {
	const bare = html
		.replace(/<(script|style)[\s\S]*?<\/\1>/g, '')
		.replace(/<\/?(?:b|i|strong|em|sub|sup|span|a|abbr|code)(?:\s[^>]*)?>/g, '');
	const said = [...bare.matchAll(/(?:placeholder|aria-label|title|alt)="([^"]*)"/g)].map(([, text]) => text!);
	return [...bare.split(/<[^>]+>/), ...said].map((text) => text.trim()).filter(Boolean);
}

async function usUnits(app: App, places: readonly string[]): Promise<string[]> {
	const found: string[] = [];
	for (const place of places) {
		const response = await fetch(app.server.origin + place);
		expect(response.status, place).toBe(200);
		for (const text of phrasesOf(await response.text())) {
			if (US.test(text) && !QUOTED.some((quoted) => quoted.test(text))) found.push(`${place}: ${text}`);
		}
	}
	return found;
}

test('finds no US unit in what the server sends', async ({ app }) => {
	test.slow();
	const { origin } = app.server;
	const settled = await fetch(`${origin}/api/settings`, {
		method: 'PATCH',
		headers: { 'content-type': 'application/json', origin },
		body: JSON.stringify({ units: 'metric' })
	});
	expect(settled.status).toBe(200);
	const fields = (await (await fetch(`${origin}/api/fields`)).json()) as { id: string }[];
	const places = fields.flatMap(({ id }) => WORDS.map((word) => `/field/${id}/2027/${word}`));
	expect(places.length).toBeGreaterThan(80);
	expect(await usUnits(app, [...OFFICE, ...places])).toEqual([]);
});
