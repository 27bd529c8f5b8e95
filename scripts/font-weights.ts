import subsetFont from 'subset-font';
import type { Plugin } from 'vite';

/** The weights that our styles ask for. */
const WEIGHTS = { min: 400, max: 700 };
/** What the file of the Latin letters is for, as its stylesheet says; of the other files all is kept. */
const LATIN = [
	[0x20, 0xff],
	[0x131, 0x131],
	[0x152, 0x153],
	[0x2000, 0x206f],
	[0x20ac, 0x20ac],
	[0x2122, 0x2122],
	[0x2191, 0x2193],
	[0x2212, 0x2215]
] as const;

/** The font of the screens without the weights that they never show: half its bytes. */
export function fontWeights(): Plugin {
	return {
		name: 'font-weights',
		async generateBundle(_options, bundle) {
			for (const file of Object.values(bundle)) {
				if (file.type !== 'asset' || !/-latin-wght-normal[^/]*\.woff2$/.test(file.fileName)) continue;
				if (typeof file.source === 'string') throw new Error(`${file.fileName} was read as text`);
				file.source = await subsetFont(Buffer.from(file.source), lettersOf(LATIN), {
					targetFormat: 'woff2',
					variationAxes: { wght: WEIGHTS }
				});
			}
		}
	};
}

function lettersOf(ranges: readonly (readonly [number, number])[]): string {
	return ranges
		.map(([from, to]) => String.fromCodePoint(...Array.from({ length: to - from + 1 }, (_, at) => from + at)))
		.join('');
}
