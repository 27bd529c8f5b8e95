import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { PurgeCSS } from 'purgecss';
import type { Plugin } from 'vite';

const CARBON = 'node_modules/carbon-components-svelte/src';
/** The date picker's classes are set by this script. */
const SET_BY_SCRIPT = ['node_modules/flatpickr/dist/flatpickr.js'];

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
	const text = [...ours, ...partsUsedBy(ours).flatMap((part) => sourcesIn(path.join(CARBON, part))), ...scripts()].join(
		'\n'
	);
	// "bx--btn--${kind}" is the head of classes whose ends are not in the text.
	const heads = new Set(text.match(/\bbx--[\w-]+(?:--|__)(?=\$\{)/g));
	const [purged] = await new PurgeCSS().purge({
		content: [{ raw: text, extension: 'html' }],
		css: [{ raw: css }],
		safelist: { standard: [...heads].map((head) => new RegExp(`^${head}`)), greedy: [/^data-/] }
	});
	if (!purged) throw new Error('the stylesheet of Carbon was not read');
	return purged.css;
}

/** Carbon's folders that these sources stand on, directly and through one another. */
function partsUsedBy(sources: readonly string[]): string[] {
	const named = sources.flatMap((source) =>
		[...source.matchAll(/import \{([^}]*)\} from 'carbon-components-svelte'/g)].flatMap(([, names = '']) =>
			names.split(',').map((name) => name.trim())
		)
	);
	const folders = new Set(
		readdirSync(CARBON, { withFileTypes: true })
			.filter((one) => one.isDirectory())
			.map(({ name }) => name)
	);
	const exported = new Map(
		[...folders].flatMap((folder) =>
			sourcesIn(path.join(CARBON, folder)).flatMap((source) =>
				[...source.matchAll(/default as (\w+)/g)].map(([, name = '']) => [name, folder] as const)
			)
		)
	);
	const used = new Set<string>();
	const open = named.flatMap((name) => exported.get(name) ?? []);
	for (let part = open.pop(); part !== undefined; part = open.pop()) {
		if (used.has(part)) continue;
		used.add(part);
		for (const source of sourcesIn(path.join(CARBON, part)))
			for (const [, other = ''] of source.matchAll(/from "\.\.\/(\w+)/g)) if (folders.has(other)) open.push(other);
	}
	return [...used];
}

function sourcesIn(folder: string): string[] {
	return readdirSync(folder, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && /\.(svelte|js|ts|css|html)$/.test(entry.name) && !entry.name.endsWith('.d.ts'))
		.map(({ parentPath, name }) => readFileSync(path.join(parentPath, name), 'utf8'));
}

function scripts(): string[] {
	return SET_BY_SCRIPT.map((file) => readFileSync(file, 'utf8'));
}
