import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { carbonStyles } from './scripts/carbon-styles';

export default defineConfig({
	plugins: [carbonStyles(), sveltekit()],
	test: {
		include: ['src/**/*.test.ts', 'cli/**/*.test.ts'],
		// Modules keep nothing that a test could leave behind: loaded once for all files, not anew for each.
		isolate: false,
		// Generous: other work may take most of a two-core machine.
		testTimeout: 240_000
	}
});
