import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { carbonStyles } from './scripts/styles/carbon-styles';
import { fontLetters } from './scripts/styles/font-letters';
import { tableRows } from './scripts/table-rows';

const CARBON = 'carbon-components-svelte/src/';
const OF_FORMS = new RegExp(
	`${CARBON}(Select|TextInput|Notification|Checkbox/Checkbox|icons/(Warning|Information|Error|Edit|CheckmarkFilled))|schema-types/bounds|css/all\\.css\\?forms|ui/look/carbon-forms|lib/ui/forms/.*(\\.svelte|number-within\\.ts|typed-amount\\.ts)$`
);
/** The map's library comes with the map. */
const ELSEWHERE = new RegExp(`${OF_FORMS.source}|/node_modules/ol/`);

export default defineConfig({
	plugins: [carbonStyles(), fontLetters(), tableRows(), sveltekit()],
	environments: {
		client: {
			build: {
				rolldownOptions: {
					output: {
						advancedChunks: {
							// What most pages share comes as one file: dozens of small ones each pay for their headers.
							groups: [
								{ name: 'shared', minShareCount: 12, priority: 1, test: (id) => !ELSEWHERE.test(id) },
								// What forms are made of comes with the first page that has one: the roster has none.
								{ name: 'forms', minShareCount: 12, test: OF_FORMS }
							]
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
