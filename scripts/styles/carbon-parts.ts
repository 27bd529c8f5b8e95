import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';

const CARBON = 'node_modules/carbon-components-svelte/src';
/** What the frame, the roster and lists are made of: their styles come at once. */
const OF_FRAME = [
	'Button',
	'DataTable',
	'MenuButton',
	'MenuItem',
	'OverflowMenu',
	'OverflowMenuItem',
	'Portal',
	'Search',
	'SearchMenu',
	'SearchMenuItem'
];

/** The names of Carbon's parts that a source imports. */
export function partsNamedIn(source: string): string[] {
	return [...source.matchAll(/import \{([^}]*)\} from 'carbon-components-svelte'/g)].flatMap(([, names = '']) =>
		names.split(',').map((name) => name.trim())
	);
}

/** Whether a part's styles do not come with the frame. */
export const isOfForms = (part: string): boolean => !OF_FRAME.includes(part);

/** The sources of the frame's parts and of those they stand on. */
export const sourcesOfFrame = (): string[] => sourcesOf(OF_FRAME);

/** The sources of Carbon's parts and of those they stand on, directly and through one another, file by file. */
export function sourcesOf(parts: readonly string[]): string[] {
	const fileOf = filesOfParts();
	const used = new Map<string, string>();
	const open = parts.flatMap((part) => fileOf.get(part) ?? []);
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

function filesOfParts(): Map<string, string> {
	const folders = readdirSync(CARBON, { withFileTypes: true })
		.filter((one) => one.isDirectory() && existsSync(path.join(CARBON, one.name, 'index.js')))
		.map(({ name }) => name);
	return new Map(
		folders.flatMap((folder) =>
			[
				...readFileSync(path.join(CARBON, folder, 'index.js'), 'utf8').matchAll(
					/default as (\w+) } from "\.\/([^"]+)"/g
				)
			].map(([, name = '', file = '']) => [name, path.join(CARBON, folder, file)] as const)
		)
	);
}
