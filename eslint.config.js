import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
	{ ignores: ['build/', 'dist/', '.svelte-kit/', 'node_modules/', 'data/', 'src/core/schema-types/', 'test-results/'] },
	js.configs.recommended,
	...ts.configs.strict,
	...ts.configs.stylistic,
	...svelte.configs.recommended,
	prettier,
	...svelte.configs.prettier,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-non-null-assertion': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
			'@typescript-eslint/consistent-type-imports': 'error',
			'@typescript-eslint/no-import-type-side-effects': 'error',
			// The app is served at the root of its own server.
			'svelte/no-navigation-without-resolve': 'off',
			eqeqeq: 'error'
		}
	},
	{
		// The core is told the time and its chances; it asks no clock, no dice and no machine.
		files: ['src/core/**/*.ts'],
		ignores: ['src/core/**/*.test.ts'],
		rules: {
			'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
			'no-restricted-properties': [
				'error',
				{ object: 'Date', property: 'now', message: 'The core is told the day.' },
				{ object: 'Math', property: 'random', message: 'The core is given seeded chances.' }
			],
			'no-restricted-syntax': [
				'error',
				{ selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core is told the day.' }
			]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig }
		}
	}
);
