import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGUMENTS, findChromium } from './e2e/find-chromium';

export default defineConfig({
	testDir: 'e2e',
	testMatch: '*.spec.ts',
	// Two cores: one worker, so that a server and a browser have one each.
	workers: 1,
	outputDir: 'test-results/e2e',
	timeout: 60_000,
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
