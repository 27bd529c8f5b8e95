#!/usr/bin/env node
// `cosecha <verb> < request.json > answer.json`. The same TypeScript as the app, loaded without a build.
import { fileURLToPath } from 'node:url';
import { register } from 'tsx/esm/api';

process.env.COSECHA_PACKS ??= fileURLToPath(new URL('../packs', import.meta.url));
register();
const { main } = await import('../cli/main.ts');
process.exitCode = await main(process.argv.slice(2));
