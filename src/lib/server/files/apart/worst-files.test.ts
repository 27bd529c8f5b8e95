import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, rmdirSync } from 'node:fs';
import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { serialize } from 'node:v8';
import { expect, test, vi } from 'vitest';
import { ActionError } from '../../book/action-error';
import type { SentFile } from '../sent-file';
import { ASKED_FILE, TOOK_TOO_LONG, TOOK_TOO_MUCH } from './messages';
import { readApart } from './read-apart';
import {
	collectionsInCollections,
	cornerOf100000Digits,
	kmlOf90000Points,
	layersWithoutEnd,
	millionColumns,
	rasterBomb,
	rowsThatLackACell,
	rowsWithoutEnd,
	starOf4000Corners,
	tableOfFourBillionRows,
	taskThatUnfolds,
	zipThatLies
} from './worst-files.test-help';

const wanted = () => new AbortController().signal;
const TOO_LONG = /takes longer than 9 seconds to read, so it was given up and nothing was saved/;
const TOO_MUCH = /takes more memory to read than 800 MB, so it was given up and nothing was saved/;
const EITHER = new RegExp(`${TOO_LONG.source}|${TOO_MUCH.source}`);

type Kind = 'map' | 'lab' | 'prescription';
const read = (kind: Kind, file: SentFile, signal = wanted()) =>
	kind === 'prescription' ? readApart(kind, { file, unit: 'lb/ac' }, signal) : readApart(kind, { file }, signal);

test.concurrent.each<[string, Kind, () => SentFile, RegExp]>([
	['a zip that says it is small', 'map', zipThatLies, /is a broken zip/],
	[
		'a table of four billion rows',
		'map',
		tableOfFourBillionRows,
		/the \.dbf in it says that it has 4,294,967,295 rows and is too short for them/
	],
	['a raster that unpacks to 4 GB', 'map', rasterBomb, EITHER],
	['200,000 collections in each other', 'map', collectionsInCollections, /is broken, or written in a way/],
	['a list of layers without end', 'map', layersWithoutEnd, /gpkg_geometry_columns in it is no plain table/],
	['ten million rows that lack a cell', 'map', rowsThatLackACell, EITHER],
	[
		'a corner of 100,000 digits',
		'prescription',
		cornerOf100000Digits,
		/no shape that can be read: look at its brackets/
	],
	['a task that unfolds', 'prescription', taskThatUnfolds, /holds no part with a rate/],
	['rows without end', 'lab', rowsWithoutEnd, TOO_LONG],
	['a million columns', 'lab', millionColumns, /has a line of over 16,384 cells; at most 300 columns are read/]
])('%s: refused in a sentence', async (_, kind, make, sentence) => {
	const refusal = await read(kind, make()).then(
		(answer) => expect.unreachable(JSON.stringify(answer).slice(0, 300)),
		(error: unknown) => error
	);
	expect(refusal).toBeInstanceOf(ActionError);
	expect((refusal as Error).message).toMatch(sentence);
});

test.each([
	['too much memory', TOOK_TOO_MUCH, String(200 * 1024 * 1024), '600000'],
	['too long, with no server left to end it', TOOK_TOO_LONG, String(64 * 1024 * 1024 * 1024), '1500']
])('the process ends itself where it takes %s', async (_, by, mostBytes, mostMs) => {
	const folder = await mkdtemp(path.join(tmpdir(), 'cosecha-test-'));
	await writeFile(path.join(folder, ASKED_FILE), serialize({ kind: 'map', asked: { file: rowsThatLackACell() } }));
	const ended = await new Promise<{ signal?: NodeJS.Signals }>((resolve) =>
		execFile(process.execPath, ['dist/reader.js', folder, mostBytes, mostMs], (error) => resolve({ ...error }))
	);
	expect(ended.signal).toBe(by);
	expect(await readdir(folder)).toEqual([ASKED_FILE]);
	await rm(folder, { recursive: true });
});

test('a star that crosses itself four million times is told where it first does', async () => {
	const { shapes } = await readApart('map', { file: starOf4000Corners() }, wanted());
	expect(shapes[0]).toMatchObject({ name: 'Area 1', problem: expect.stringMatching(/^area 1 crosses itself near -3/) });
});

test('90,000 points of KML are read, or given up by a slow machine in a sentence', async () => {
	const outcome = await readApart('map', { file: kmlOf90000Points() }, wanted()).catch(String);
	expect(typeof outcome === 'string' ? outcome : outcome.points).toSatisfy(
		(one) => one === 90_000 || TOO_LONG.test(String(one))
	);
});

test('a file that nobody waits for any more is left, and nothing of it stays behind', async () => {
	const waiting = new AbortController();
	// A place of its own: other tests read files meanwhile.
	const place = mkdtempSync(path.join(tmpdir(), 'cosecha-left-'));
	vi.stubEnv('TMPDIR', place);
	const folders = () => readdirSync(place);
	const reading = read('lab', rowsWithoutEnd(), waiting.signal);
	const left = expect(reading).rejects.toThrow('rows.xlsx was no longer wanted, and nothing of it was saved.');
	await expect.poll(() => folders().length).toBeGreaterThan(0);
	waiting.abort();
	await left;
	expect(folders()).toEqual([]);
	rmdirSync(place);
});
