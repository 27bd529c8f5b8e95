// Bundles what runs outside the app's own build, so that it starts without a TypeScript loader: the command line, and the process that reads a file.
import { build } from 'esbuild';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));

/** @type {import('esbuild').BuildOptions} */
const COMMON = {
	absWorkingDir: root,
	bundle: true,
	platform: 'node',
	format: 'esm',
	target: 'node20',
	// Some packages' older files ask for their parts at run time.
	mainFields: ['module', 'main'],
	alias: { $core: './src/core' },
	banner: { js: "import { createRequire } from 'node:module';const require = createRequire(import.meta.url);" },
	minify: true,
	logLevel: 'error'
};

/** @returns {Promise<void>} */
export async function buildCommandLine() {
	await build({
		...COMMON,
		entryPoints: ['cli/main.ts'],
		outfile: 'dist/cosecha.js',
		// The solver brings a file of WebAssembly that it looks for beside itself.
		external: ['highs']
	});
}

/** @returns {Promise<void>} */
async function buildReader() {
	await build({
		...COMMON,
		entryPoints: ['src/lib/server/files/apart/reader-process.ts'],
		outfile: 'dist/reader.js',
		// The database is no JavaScript.
		external: ['better-sqlite3'],
		plugins: [rawText]
	});
}

/** `?raw`, as the app's own build reads it: the text of a file. */
const rawText = {
	name: 'raw text',
	/** @param {import('esbuild').PluginBuild} build */
	setup({ onResolve, onLoad }) {
		onResolve({ filter: /\?raw$/ }, ({ path: asked, resolveDir }) => ({
			path: path.join(resolveDir, asked.replace('?raw', '')),
			namespace: 'raw'
		}));
		onLoad({ filter: /.*/, namespace: 'raw' }, async ({ path: file }) => ({
			contents: await readFile(file, 'utf8'),
			loader: 'text'
		}));
	}
};

/** Before all tests: those of files read them in the process that the app starts. */
export { buildReader as setup };

if (process.argv[1] === fileURLToPath(import.meta.url)) await Promise.all([buildCommandLine(), buildReader()]);
