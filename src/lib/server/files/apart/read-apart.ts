import { execFile } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { constants, setPriority, tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { deserialize, serialize } from 'node:v8';
import pLimit from 'p-limit';
import { InputError } from '../../../../core/check/problem';
import { ActionError } from '../../book/action-error';
import { ANSWER_FILE, ASKED_FILE, TOOK_TOO_LONG, type Answer } from './messages';
import type { Asked, Read, Reading } from './readings';

/** Bundled from reader-process.ts by scripts/build-bundles.js. */
const READER = path.join('dist', 'reader.js');

const MB = 1024 * 1024;
/** How much of the machine a file may take, and what is said to do where that is not enough. */
interface Bounds {
	/** Of work on it: with what it takes to start and end, a file is answered within ten on a machine that does nothing else. */
	seconds: number;
	megabytes: number;
	remedy: string;
}

/** A yield map of 400,000 points takes about half of both. */
const MAP: Bounds = {
	seconds: 9,
	megabytes: 800,
	remedy: 'Cut out the field first, or export it in another format.'
};
const BOUNDS: Record<Reading, Bounds> = {
	lab: { ...MAP, remedy: 'Split it, or save it again as CSV.' },
	map: MAP,
	layer: MAP,
	prescription: MAP,
	asApplied: MAP,
	plots: { ...MAP, remedy: 'Is it the data sheet of the trial?' },
	// It is unpacked whole, and written anew row by row.
	book: { seconds: 120, megabytes: 4000, remedy: 'Export the growers one by one.' }
};
/** Others wait their turn: pages are to be answered meanwhile. */
const twoAtATime = pLimit(2);

const run = promisify(execFile);

/**
 * Reads a file in a process of its own, which is ended where it takes too long or too much memory, or where nobody waits for it any more.
 * @param signal that the file is no longer wanted
 * @throws ActionError or InputError where the file is refused, in words for the adviser
 */
export function readApart<K extends Reading>(kind: K, asked: Asked<K>, signal: AbortSignal): Promise<Read<K>> {
	return twoAtATime(async () => {
		const folder = await mkdtemp(path.join(tmpdir(), 'cosecha-read-'));
		try {
			await writeFile(path.join(folder, ASKED_FILE), serialize({ kind, asked }), { mode: 0o600 });
			await inProcess(folder, asked.file.name, BOUNDS[kind], signal);
			return readOf(deserialize(await readFile(path.join(folder, ANSWER_FILE))) as Answer) as Read<K>;
		} finally {
			await rm(folder, { recursive: true, force: true });
		}
	});
}

async function inProcess(
	folder: string,
	name: string,
	{ seconds, megabytes, remedy }: Bounds,
	signal: AbortSignal
): Promise<void> {
	const args = [`--max-old-space-size=${megabytes}`, READER, folder, String(megabytes * MB), String(seconds * 1000)];
	try {
		const reading = run(process.execPath, args, { killSignal: 'SIGKILL', signal });
		// Pages go first; it may have ended already.
		if (reading.child.pid !== undefined && reading.child.exitCode === null) {
			setPriority(reading.child.pid, constants.priority.PRIORITY_BELOW_NORMAL);
		}
		await reading;
	} catch (error) {
		if (signal.aborted) throw new ActionError(`${name} was no longer wanted, and nothing of it was saved.`);
		// By none it ended of itself: then something is wrong with the program.
		const ended = (error as { signal?: string | null }).signal;
		if (!ended) throw error;
		const most =
			ended === TOOK_TOO_LONG ? `longer than ${seconds} seconds to read` : `more memory to read than ${megabytes} MB`;
		throw new ActionError(`${name} takes ${most}, so it was given up and nothing was saved. ${remedy}`);
	}
}

function readOf(answer: Answer): unknown {
	if ('read' in answer) return answer.read;
	if ('problems' in answer) throw new InputError([...answer.problems]);
	if ('refused' in answer) throw new ActionError(answer.refused);
	throw new Error(answer.accident);
}
