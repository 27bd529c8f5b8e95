import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { carbonStyles } from './scripts/carbon-styles';
import { fontWeights } from './scripts/font-weights';
import { tableRows } from './scripts/table-rows';

export default defineConfig({
	plugins: [carbonStyles(), fontWeights(), tableRows(), sveltekit()],
	environments: {
		client: {
			build: {
				rolldownOptions: {
					output: {
						advancedChunks: {
							// What most pages share comes as one file: dozens of small ones each pay for their headers.
							// The map's library comes with the map.
							groups: [{ name: 'shared', minShareCount: 12, test: (id) => !id.includes('/node_modules/ol/') }]
						}
					}
				}
			}
		}
	},
	test: {
		include: ['src/**/*.test.ts', 'cli/**/*.test.ts'],
		globalSetup: './scripts/build-bundles.js',
		setupFiles: './scripts/leave-nothing.ts',
		// Modules keep nothing that a test could leave behind: loaded once for all files, not anew for each.
		isolate: false,
		// Generous: other work may take most of a two-core machine.
		testTimeout: 240_000,
		hookTimeout: 240_000
	}
});
