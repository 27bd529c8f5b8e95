import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import subsetFont from 'subset-font';
import type { Plugin } from 'vite';

const PACKAGE = 'node_modules/@fontsource-variable/atkinson-hyperlegible-next';
const FILES = `${PACKAGE}/files/atkinson-hyperlegible-next`;
const FOLDER = 'src/lib/ui/look/letters';
/** The weights that our styles ask for. */
const WEIGHTS = { min: 400, max: 700 };

type Ranges = readonly (readonly [number, number])[];

/** What nearly every page is written with: ASCII, and the signs of our sentences and numbers. */
const OFTEN: Ranges = [
	[0x0, 0x7e],
	[0xa0, 0xa0],
	[0xb0, 0xb2],
	[0xb7, 0xb7],
	[0xd7, 0xd7],
	[0x2013, 0x2014],
	[0x2018, 0x2019],
	[0x201c, 0x201d],
	[0x2026, 0x2026],
	[0x2212, 0x2212]
];
/** The other letters and signs of western Europe, in names above all: fetched by a page that has one. */
const SELDOM: Ranges = [
	[0xa1, 0xaf],
	[0xb3, 0xb6],
	[0xb8, 0xd6],
	[0xd8, 0xff],
	[0x131, 0x131],
	[0x152, 0x153],
	[0x2000, 0x2012],
	[0x2015, 0x2017],
	[0x201a, 0x201b],
	[0x201e, 0x201f],
	[0x2021, 0x2025],
	[0x2027, 0x206f],
	[0x20ac, 0x20ac],
	[0x2122, 0x2122],
	[0x2191, 0x2191],
	[0x2193, 0x2193],
	[0x2215, 0x2215]
];

/**
 * Cuts the font of the screens into the letters used often and the others, without the weights that they never show. No
 * letter is in two files: a browser that waits for one would ask for the other too.
 */
export function fontLetters(): Plugin {
	return {
		name: 'font-letters',
		async config() {
			mkdirSync(FOLDER, { recursive: true });
			const further = (JSON.parse(readFileSync(`${PACKAGE}/unicode.json`, 'utf8')) as Record<string, string>)[
				'latin-ext'
			];
			writeIfNew('further.woff2', readFileSync(`${FILES}-latin-ext-wght-normal.woff2`));
			await writeLetters('often', OFTEN);
			await writeLetters('seldom', SELDOM);
			const faces = [
				face('often', rangeText(OFTEN)),
				face('seldom', rangeText(SELDOM)),
				face('further', further ?? '')
			];
			writeIfNew('letters.css', Buffer.from(faces.join('')));
		}
	};
}

async function writeLetters(name: string, ranges: Ranges): Promise<void> {
	const text = ranges
		.map(([from, to]) => String.fromCodePoint(...Array.from({ length: to - from + 1 }, (_, at) => from + at)))
		.join('');
	const options = { targetFormat: 'woff2', variationAxes: { wght: WEIGHTS } } as const;
	writeIfNew(`${name}.woff2`, await subsetFont(readFileSync(`${FILES}-latin-wght-normal.woff2`), text, options));
}

/** Only then: a file that is written anew would have a development server start again. */
function writeIfNew(name: string, content: Buffer): void {
	const file = path.join(FOLDER, name);
	if (!existsSync(file) || !readFileSync(file).equals(content)) writeFileSync(file, content);
}

const rangeText = (ranges: Ranges): string =>
	ranges.map(([from, to]) => `U+${from.toString(16)}-${to.toString(16)}`).join(',');

/** The family has one face of all weights, whose letters are in several files. */
const face = (name: string, letters: string): string => `@font-face {
	font-family: 'Atkinson Hyperlegible Next Variable';
	font-style: normal;
	font-display: swap;
	font-weight: 200 800;
	src: url(./${name}.woff2) format('woff2');
	unicode-range: ${letters};
}
`;
