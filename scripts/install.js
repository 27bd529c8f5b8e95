// Brings node_modules to what package-lock.json says, and does nothing where it already is.
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';

const MARK = 'node_modules/.cosecha-lock';

/** Runs `npm ci` unless it ran for this very lock file and Node. */
export function installPackages() {
	const lock = createHash('sha256').update(readFileSync('package-lock.json')).update(process.version).digest('hex');
	if (existsSync(MARK) && readFileSync(MARK, 'utf8') === lock) return;
	console.log('Installing packages (the database is compiled; this takes some minutes once) …');
	run('npm', ['ci', '--no-audit', '--no-fund']);
	writeFileSync(MARK, lock);
}

/** Runs a command with its output shown; a failure ends the program with the same code. */
export function run(command, args, env = {}) {
	try {
		execFileSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
	} catch (error) {
		process.exit(error.status ?? 1);
	}
}
