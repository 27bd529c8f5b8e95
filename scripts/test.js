// `npm test`: installs what it needs, then unit tests beside build, lint and types, then browser tests. Ends with the count.
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { installPackages } from './install.js';

const RESULTS = 'test-results';

/** Programs the tests need, with the Debian package that holds each. */
const TOOLS = [
	// The shell draws no frame of a browser around each page: a third of the time.
	{ names: ['chromium-headless-shell'], package: 'chromium-headless-shell', own: process.env.CHROME_PATH },
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
const npx = (command, ...args) => ['npx', ['--no-install', command, ...args]];

// Each lane has one of two cores. The build comes first: nothing else is worth waiting for where it fails.
const soundTypes = await step('types from the schemas', 'npm', ['run', '--silent', 'prepare']);
if (soundTypes) await lanes();
else skip('all other checks', 'the types do not come out');

addUnit();
addBrowser();
for (const one of failed) console.log(`failed: ${one}`);
console.log(`${count.passed} passed, ${count.failed} failed`);
process.exitCode = count.failed > 0 ? 1 : 0;

/** Unit tests in one lane; build, checks and browser tests in the other, which is the longer one. */
async function lanes() {
	const unit = step(
		'unit tests',
		...npx('vitest', 'run', '--reporter=dot', '--reporter=json', `--outputFile=${RESULTS}/unit.json`)
	);
	const built = await step('build', ...npx('vite', 'build', '--logLevel', 'error'), {
		COSECHA_KIT_FOLDER: `${RESULTS}/kit`
	});
	await step('types', 'npm', ['run', '--silent', 'check']);
	await step('lint', ...npx('eslint', '.'));
	await step('formatting', ...npx('prettier', '--check', '.', '--log-level', 'warn'));
	await step('rooms and arrows', ...npx('depcruise', 'src', 'cli', '--config', '.dependency-cruiser.cjs'));
	await step('unused code', ...npx('knip'));
	if (built) await step('browser tests', ...npx('playwright', 'test'));
	else skip('browser tests', 'there is no build to open');
	await unit;
}

/** Runs one step and prints its output when it has ended, so that two lanes do not mix theirs. Each step is one check. */
function step(name, command, args, env = {}) {
	const start = Date.now();
	return new Promise((resolve) => {
		const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } });
		const output = [];
		for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => output.push(text));
		child.on('error', (error) => output.push(Buffer.from(`${error.message}\n`)));
		child.on('close', (status) => {
			console.log(`\n== ${name}`);
			process.stdout.write(Buffer.concat(output));
			console.log(`== ${name}: ${status === 0 ? 'ok' : 'FAILED'}, ${Math.round((Date.now() - start) / 1000)} s`);
			count[status === 0 ? 'passed' : 'failed']++;
			if (status !== 0) failed.push(name);
			resolve(status === 0);
		});
	});
}

function skip(name, why) {
	console.log(`\n== ${name}: not run, because ${why}`);
	count.failed++;
	failed.push(`${name}: not run, because ${why}`);
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
