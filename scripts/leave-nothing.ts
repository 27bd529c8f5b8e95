// Run before each file of tests: these share their modules, so what one leaves in place of a global another would find.
import { afterEach, vi } from 'vitest';

afterEach(() => {
	vi.unstubAllGlobals();
	vi.unstubAllEnvs();
});
