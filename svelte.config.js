import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter({ out: 'build' }),
		alias: { $core: 'src/core' },
		// A build beside checks and tests keeps its generated files apart: else one rewrites what the other reads.
		outDir: process.env.COSECHA_KIT_FOLDER ?? '.svelte-kit',
		// The styles of a page and its parts come with the page: a dozen small files each pay for their headers and wait.
		inlineStyleThreshold: 20_000,
		csp: {
			directives: {
				'default-src': ['self'],
				'img-src': ['self', 'data:', 'blob:'],
				'style-src': ['self', 'unsafe-inline'],
				'worker-src': ['self', 'blob:'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'frame-ancestors': ['none'],
				'form-action': ['self']
			}
		},
		typescript: {
			config: (config) => ({
				...config,
				include: [
					...config.include,
					'../cli/**/*.ts',
					'../bench/**/*.ts',
					'../e2e/**/*.ts',
					'../demo/**/*.ts',
					'../scripts/**/*.js',
					'../*.ts',
					'../*.js'
				]
			})
		}
	}
};
