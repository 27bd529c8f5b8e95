import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

/** A folder with more files, or a file with more lines, has stopped showing what it holds. */
const MOST_FILES = 20;
const MOST_LINES = 300;

describe('rooms that show', () => {
	const folders = readdirSync('src', { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && !entry.parentPath.startsWith(path.join('src', 'core', 'schema-types')))
		.reduce(
			(all, { parentPath, name }) => all.set(parentPath, [...(all.get(parentPath) ?? []), name]),
			new Map<string, string[]>()
		);

	it('hold at most twenty files each', () => {
		expect(folders.size).toBeGreaterThan(50);
		const full = [...folders].filter(([, files]) => files.length > MOST_FILES).map(([folder]) => folder);
		expect(full).toEqual([]);
	});

	it('hold no file of code over three hundred lines; tests and tables of data may be long', () => {
		const code = [...folders].flatMap(([folder, files]) =>
			files
				.filter((name) => /\.(ts|svelte)$/.test(name) && !/\.test(-help)?\.ts$/.test(name))
				.map((name) => path.join(folder, name))
		);
		expect(code.length).toBeGreaterThan(400);
		const lines = (file: string) => readFileSync(file, 'utf8').trimEnd().split('\n').length;
		expect(code.filter((file) => lines(file) > MOST_LINES)).toEqual([]);
	});
});
