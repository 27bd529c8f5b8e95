// A process that reads one file and ends: what it takes of time and memory, and what breaks in it, is its own.
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { deserialize, serialize } from 'node:v8';
import { Worker } from 'node:worker_threads';
import { InputError } from '../../../../core/check/problem';
import { ActionError } from '../../book/action-error';
import { ANSWER_FILE, ASKED_FILE, TOOK_TOO_LONG, TOOK_TOO_MUCH, type Answer } from './messages';
import { READINGS, type Reading } from './readings';

/** So many times as long as it may work on a file it may wait for other work of the machine. */
const MOST_WAITING = 10;

/**
 * Ends the process where it has worked too long or takes too much memory. On a busy machine a file has as much work done on it as on an idle
 * one; whatever happens, it ends after ten times that, also where its server is gone.
 */
const WATCH = `
const { workerData: { mostBytes, mostMs } } = require('node:worker_threads');
const started = performance.now();
const workedMs = () => {
	const { user, system } = process.cpuUsage();
	return Math.min((user + system) / 1000, performance.now() - started);
};
setTimeout(() => process.kill(process.pid, '${TOOK_TOO_LONG}'), mostMs * ${MOST_WAITING});
setInterval(() => {
	if (process.memoryUsage.rss() > mostBytes) process.kill(process.pid, '${TOOK_TOO_MUCH}');
	if (workedMs() > mostMs) process.kill(process.pid, '${TOOK_TOO_LONG}');
}, 50);
`;

const [folder, mostBytes, mostMs] = process.argv.slice(2) as [string, string, string];
// In a thread of its own: while a file is read, this one looks at nothing else.
new Worker(WATCH, { eval: true, workerData: { mostBytes: Number(mostBytes), mostMs: Number(mostMs) } }).unref();

const { kind, asked } = deserialize(readFileSync(path.join(folder, ASKED_FILE))) as { kind: Reading; asked: never };
writeFileSync(path.join(folder, ANSWER_FILE), serialize(await answerOf(kind, asked)));
process.exit(0);

async function answerOf(reading: Reading, what: never): Promise<Answer> {
	try {
		return { read: await READINGS[reading](what) };
	} catch (error) {
		if (error instanceof InputError) return { problems: error.problems };
		if (error instanceof ActionError) return { refused: error.message };
		return { accident: error instanceof Error ? (error.stack ?? error.message) : String(error) };
	}
}
