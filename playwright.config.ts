import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGUMENTS, findChromium } from './e2e/find-chromium';

export default defineConfig({
	testDir: 'e2e',
	testMatch: '*.spec.ts',
	globalSetup: './e2e/pristine-books.ts',
	// Two cores: while one test waits for its page, another can work. Each has a server and a book of its own.
	workers: 2,
	// Tests of one file share nothing either; the long ones would else stand in a row.
	fullyParallel: true,
	outputDir: 'test-results/e2e',
	// Generous: other work may take most of the machine. What is waited for is a condition, never a time.
	timeout: 240_000,
	expect: { timeout: 30_000 },
	// A browser that was starved for a moment gets one more try; `npm test` names each test that needed it.
	retries: 1,
	forbidOnly: true,
	reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
	use: {
		viewport: { width: 1280, height: 800 },
		launchOptions: {
			executablePath: findChromium(),
			args: [...CHROMIUM_ARGUMENTS]
		}
	}
});
