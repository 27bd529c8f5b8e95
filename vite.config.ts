import { sveltekit } from '@sveltejs/kit/vite';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

/** Carbon's stylesheet names web fonts on an outside host; ours ship with the app. */
function withoutOutsideFonts(): Plugin {
	return {
		name: 'without-outside-fonts',
		enforce: 'pre',
		transform(code, id) {
			if (!id.includes('carbon-components-svelte') || !id.endsWith('.css')) return undefined;
			return { code: code.replace(/@font-face\s*{[^}]*}/g, ''), map: null };
		}
	};
}

export default defineConfig({
	plugins: [withoutOutsideFonts(), sveltekit()],
	test: {
		include: ['src/**/*.test.ts', 'cli/**/*.test.ts'],
		// Modules keep nothing that a test could leave behind: loaded once for all files, not anew for each.
		isolate: false,
		// Generous: other work may take most of a two-core machine.
		testTimeout: 240_000
	}
});
