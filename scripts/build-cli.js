// Bundles the command line into dist/cosecha.js, so that it starts without a TypeScript loader.
import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));

/** @returns {Promise<void>} */
export async function buildCommandLine() {
	await build({
		absWorkingDir: root,
		entryPoints: ['cli/main.ts'],
		outfile: 'dist/cosecha.js',
		bundle: true,
		platform: 'node',
		format: 'esm',
		target: 'node20',
		// The solver brings a file of WebAssembly that it looks for beside itself.
		external: ['highs'],
		// Some packages' older files ask for their parts at run time.
		mainFields: ['module', 'main'],
		alias: { $core: './src/core' },
		banner: { js: "import { createRequire } from 'node:module';const require = createRequire(import.meta.url);" },
		minify: true,
		logLevel: 'error'
	});
}

if (process.argv[1] === fileURLToPath(import.meta.url)) await buildCommandLine();
