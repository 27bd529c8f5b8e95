// `npm test`: installs what it needs, then lint, types, unit tests, build and browser tests. Ends with the count.
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { installPackages } from './install.js';

const RESULTS = 'test-results';

/** Programs the tests need, with the Debian package that holds each. */
const TOOLS = [
	{ names: ['chromium', 'chromium-browser', 'google-chrome'], package: 'chromium', own: process.env.CHROME_PATH },
	{ names: ['pdftotext'], package: 'poppler-utils' },
	{ names: ['ogrinfo'], package: 'gdal-bin' },
	{ names: ['zbarimg'], package: 'zbar-tools' }
];

installPackages();
installTools();
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS);

const count = { passed: 0, failed: 0 };
/** Named once more at the end, where they are looked for. */
const failed = [];
const steps = [
	['types from the schemas', 'npm', ['run', '--silent', 'prepare']],
	['formatting', 'npx', ['--no-install', 'prettier', '--check', '.', '--log-level', 'warn']],
	['lint', 'npx', ['--no-install', 'eslint', '.']],
	['rooms and arrows', 'npx', ['--no-install', 'depcruise', 'src', 'cli', '--config', '.dependency-cruiser.cjs']],
	['unused code', 'npx', ['--no-install', 'knip']],
	['types', 'npm', ['run', '--silent', 'check']],
	[
		'unit tests',
		'npx',
		['--no-install', 'vitest', 'run', '--reporter=dot', '--reporter=json', `--outputFile=${RESULTS}/unit.json`]
	],
	['build', 'npx', ['--no-install', 'vite', 'build', '--logLevel', 'error']],
	['browser tests', 'npx', ['--no-install', 'playwright', 'test']]
];
for (const [name, command, args] of steps) step(name, command, args);

addUnit();
addBrowser();
for (const one of failed) console.log(`failed: ${one}`);
console.log(`${count.passed} passed, ${count.failed} failed`);
process.exitCode = count.failed > 0 ? 1 : 0;

/** Runs one step; each step without a count of its own is one check. */
function step(name, command, args) {
	const start = Date.now();
	console.log(`\n== ${name}`);
	const { status } = spawnSync(command, args, { stdio: 'inherit' });
	console.log(`== ${name}: ${status === 0 ? 'ok' : 'FAILED'}, ${Math.round((Date.now() - start) / 1000)} s`);
	count[status === 0 ? 'passed' : 'failed']++;
	if (status !== 0) failed.push(name);
}

function addUnit() {
	const file = path.join(RESULTS, 'unit.json');
	if (!existsSync(file)) return;
	const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(file, 'utf8'));
	count.passed += numPassedTests;
	count.failed += numFailedTests;
	for (const { name, status, message, assertionResults } of testResults) {
		if (status !== 'failed') continue;
		const file = path.relative('.', name);
		const tests = assertionResults.filter((one) => one.status === 'failed');
		for (const test of tests) failed.push(`${file}: ${test.fullName}`);
		if (tests.length > 0) continue;
		// Its tests were not even begun: they are missing from the count.
		count.failed++;
		failed.push(`${file}: ${message}`);
	}
}

function addBrowser() {
	const file = path.join(RESULTS, 'e2e.json');
	if (!existsSync(file)) return;
	const { stats, suites } = JSON.parse(readFileSync(file, 'utf8'));
	count.passed += stats.expected + stats.flaky;
	if (stats.flaky > 0) console.log(`${stats.flaky} browser tests passed at the second try, named above as flaky`);
	count.failed += stats.unexpected;
	for (const spec of suites.flatMap(specsOf)) if (!spec.ok) failed.push(`${spec.file}: ${spec.title}`);
}

function specsOf({ specs, suites = [] }) {
	return [...specs, ...suites.flatMap(specsOf)];
}

/** Installs missing programs from Debian where this is allowed; else says in one line what to install. */
function installTools() {
	const missing = TOOLS.filter(({ names, own }) => !own && !names.some(isOnPath));
	if (missing.length === 0) return;
	const packages = missing.map((tool) => tool.package);
	if (process.getuid?.() === 0 && isOnPath('apt-get')) {
		const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
		execFileSync('apt-get', ['update', '-qq'], { stdio: 'inherit', env });
		execFileSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], {
			stdio: 'inherit',
			env
		});
		return;
	}
	console.error(`The tests need ${packages.join(' and ')}: install ${packages.join(' ')} and run again.`);
	process.exit(1);
}

function isOnPath(name) {
	return (process.env.PATH ?? '').split(path.delimiter).some((folder) => existsSync(path.join(folder, name)));
}
