import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** The day on which every test takes place; the demo district was made for it. */
const TODAY = '2026-11-23';

export interface RunningServer {
	origin: string;
	process: ChildProcess;
	/** All that the server wrote so far. */
	log: () => string;
	stop: () => Promise<void>;
}

/** A new folder for a book, and how to throw it away. */
export function bookFolder(): { file: string; remove: () => void } {
	const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-'));
	return { file: path.join(folder, 'book.db'), remove: () => rmSync(folder, { recursive: true, force: true }) };
}

/** Starts the production build on a free port and waits until it answers. */
export async function startServer(book: string, environment: Record<string, string> = {}): Promise<RunningServer> {
	const port = await freePort();
	const origin = `http://127.0.0.1:${port}`;
	const child = spawn('node', ['bin/serve.js'], {
		env: { ...process.env, PORT: String(port), COSECHA_DB: book, COSECHA_TODAY: TODAY, ...environment },
		stdio: ['ignore', 'pipe', 'pipe']
	});
	let log = '';
	child.stdout.on('data', (text) => (log += String(text)));
	child.stderr.on('data', (text) => (log += String(text)));
	const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
	await answering(origin, child, () => log);
	return {
		origin,
		process: child,
		log: () => log,
		stop: async () => {
			child.kill('SIGKILL');
			await gone;
		}
	};
}

async function answering(origin: string, child: ChildProcess, log: () => string): Promise<void> {
	for (;;) {
		if (child.exitCode !== null) throw new Error(`the server ended: ${log()}`);
		try {
			await fetch(`${origin}/api/fields`);
			return;
		} catch {
			await new Promise((resolve) => setImmediate(resolve));
		}
	}
}

function freePort(): Promise<number> {
	return new Promise((resolve, reject) => {
		const probe = createServer();
		probe.once('error', reject);
		probe.listen(0, '127.0.0.1', () => {
			const address = probe.address();
			probe.close(() =>
				typeof address === 'object' && address ? resolve(address.port) : reject(new Error('no port'))
			);
		});
	});
}
