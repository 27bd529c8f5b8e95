#!/usr/bin/env node
// `cosecha <verb> < request.json > answer.json`. The same code as the app's, bundled once.
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const bundle = new URL('../dist/cosecha.js', import.meta.url);
if (!existsSync(bundle)) await (await import('../scripts/build-bundles.js')).buildCommandLine();
process.env.COSECHA_PACKS ??= fileURLToPath(new URL('../packs', import.meta.url));
const { main } = await import(bundle.href);
process.exitCode = await main(process.argv.slice(2));
