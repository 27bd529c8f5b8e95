import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { PurgeCSS } from 'purgecss';
import type { Plugin } from 'vite';

const CARBON = 'node_modules/carbon-components-svelte/src';
/** The date picker's classes are set by this script. */
const SET_BY_SCRIPT = ['node_modules/flatpickr/dist/flatpickr.js'];
/** Looks that Carbon's parts take on by a property alone: their rules stay out until a source of ours has that word. */
const LOOKS = [
	{ asked: /\bfluid\b/, classes: /--fluid/ },
	{ asked: /\bskeleton\b/i, classes: /skeleton/ },
	// The words that a button of nothing but an icon shows beside it; a menu of a row has its name inside.
	{ asked: /<Button[^<]*\siconDescription\b/, classes: /--icon-only--|tooltip__trigger/ }
];

/**
 * Carbon's stylesheet without the web fonts that it names on an outside host (ours ship with the app), and without the
 * rules of parts that no screen uses: nine tenths of it.
 */
export function carbonStyles(): Plugin {
	return {
		name: 'carbon-styles',
		enforce: 'pre',
		async transform(code, id) {
			if (!id.includes('carbon-components-svelte') || !id.endsWith('.css')) return undefined;
			return { code: await usedStyles(code.replace(/@font-face\s*{[^}]*}/g, '')), map: null };
		}
	};
}

async function usedStyles(css: string): Promise<string> {
	const ours = sourcesIn('src');
	const text = [...ours, ...partsUsedBy(ours), ...SET_BY_SCRIPT.map((file) => readFileSync(file, 'utf8'))].join('\n');
	// "bx--btn--${kind}" is the head of classes whose ends are not in the text.
	const heads = new Set(text.match(/\bbx--[\w-]+(?:--|__)(?=\$\{)/g));
	const [purged] = await new PurgeCSS().purge({
		content: [{ raw: text, extension: 'html' }],
		css: [{ raw: css }],
		variables: true,
		blocklist: LOOKS.filter(({ asked }) => !ours.some((source) => asked.test(source))).map(({ classes }) => classes),
		safelist: { standard: [...heads].map((head) => new RegExp(`^${head}`)), greedy: [/^data-/] }
	});
	if (!purged) throw new Error('the stylesheet of Carbon was not read');
	return purged.css;
}

/** The sources of Carbon's parts that these sources stand on, directly and through one another, file by file. */
function partsUsedBy(sources: readonly string[]): string[] {
	const fileOf = new Map(
		folders().flatMap((folder) =>
			[
				...readFileSync(path.join(CARBON, folder, 'index.js'), 'utf8').matchAll(
					/default as (\w+) } from "\.\/([^"]+)"/g
				)
			].map(([, name = '', file = '']) => [name, path.join(CARBON, folder, file)] as const)
		)
	);
	const named = sources.flatMap((source) =>
		[...source.matchAll(/import \{([^}]*)\} from 'carbon-components-svelte'/g)].flatMap(([, names = '']) =>
			names.split(',').map((name) => name.trim())
		)
	);
	const used = new Map<string, string>();
	const open = named.flatMap((name) => fileOf.get(name) ?? []);
	for (let file = open.pop(); file !== undefined; file = open.pop()) {
		if (used.has(file)) continue;
		const source = readFileSync(file, 'utf8');
		used.set(file, source);
		for (const [, other = ''] of source.matchAll(/from "(\.[^"]*)"/g)) {
			const imported = path.join(path.dirname(file), other);
			const ends = ['', '.js', '/index.js'].map((end) => imported + end);
			open.push(...ends.filter((one) => existsSync(one) && statSync(one).isFile()));
		}
	}
	return [...used.values()];
}

function folders(): string[] {
	return readdirSync(CARBON, { withFileTypes: true })
		.filter((one) => one.isDirectory() && existsSync(path.join(CARBON, one.name, 'index.js')))
		.map(({ name }) => name);
}

function sourcesIn(folder: string): string[] {
	return readdirSync(folder, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && /\.(svelte|js|ts|css|html)$/.test(entry.name) && !entry.name.endsWith('.d.ts'))
		.map(({ parentPath, name }) => readFileSync(path.join(parentPath, name), 'utf8'));
}
