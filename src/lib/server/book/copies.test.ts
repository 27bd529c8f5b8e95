// Copies of a book: made while it is in use, restored over a ruined file, exported and imported, and the copy before a migration.
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { BookDocument, CopyPreview, Restored } from '../../../core/schema-types';
import { World } from '../api/api.test-help';
import { answerCall } from '../api/answer-call';
import { OPERATIONS } from '../api/table';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { addGrower } from '../files/book-file/add-grower';
import { asBookFile } from '../files/book-file/as-book-file';
import { readBookFile } from '../files/book-file/read-book-file';
import { theLibrary } from '../knowledge';
import { oldBook } from '../old-book.test-help';
import { changeSettings } from '../stores/settings';
import { replaceBook } from '../the-book';
import { undo, undoable } from './act';
import { backupFolder, listBackups, makeBackup } from './copies/backups';
import { checkCopy } from './copies/check-copy';
import { backUpIfDue } from './copies/keep-backups';
import { restoreAtStart } from './copies/restore-at-start';
import { whatIsIn } from './copies/what-is-in';
import { fillBook } from './fill-book';
import { migrate, NEWEST_LAYOUT } from './migrate';
import { openBook } from './open-book';
import { rowsOf, tablesOf } from './tables';

const demo = JSON.parse(readFileSync('demo/district.json', 'utf8')) as BookDocument;
let folder: string;
let file: string;
let book: Database.Database;
beforeEach(() => {
	folder = mkdtempSync(path.join(tmpdir(), 'cosecha-'));
	file = path.join(folder, 'book.db');
	book = openBook(file);
	fillBook(book, demo);
	changeSettings(book, { preparedBy: 'Ada' });
});
afterEach(() => {
	if (book.open) book.close();
	rmSync(folder, { recursive: true });
});

const all = (db: Database.Database) => JSON.stringify(tablesOf(db).map((table) => [table, rowsOf(db, table)]));
const day = (text: string) => new Date(`${text}T06:00:00Z`);
const ruin = (name: string) => writeFileSync(name, new Uint8Array(statSync(name).size));
/** Calls an operation on the book as it is now. */
async function call(key: string, address: string, bytes?: Uint8Array<ArrayBuffer>): Promise<Response> {
	const desk = new Desk(book, libraryOf(book, theLibrary()), '2026-11-23');
	const headers = {
		'content-type': bytes ? 'application/octet-stream' : 'application/json',
		'x-file-name': 'book.zip'
	};
	const [method] = key.split(' ');
	const request = new Request(`http://127.0.0.1${address}`, {
		method,
		headers,
		...(method === 'GET' ? {} : { body: bytes ?? '{}' })
	});
	return answerCall(OPERATIONS, request, desk, (error) => {
		throw error;
	});
}
const messageOf = async (answer: Response) => ((await answer.json()) as { message: string }).message;

describe('a backup', () => {
	it('is restored after the file of the open book was overwritten with zeros, and what was there is kept', async () => {
		const before = all(book);
		const { id } = await makeBackup(book, 5, day('2026-11-23'));
		changeSettings(book, { preparedBy: 'Somebody else' });
		book.pragma('wal_checkpoint(TRUNCATE)');
		ruin(file);
		expect(checkCopy(file).fault).toBe('it cannot be read as a book: file is not a database');
		const answer = await call('POST', `/api/backups/${id}/restore`);
		expect(answer.status).toBe(200);
		const { holds, notes } = (await answer.json()) as Restored;
		expect(holds).toMatchObject({ fields: 21, growers: 5 });
		expect(notes[0]).toMatch(/^The book of before is kept as .*book\.db\.replaced-/);
		book = openBook(file);
		expect(all(book)).toBe(before);
		expect(existsSync(notes[0]!.slice('The book of before is kept as '.length, -1))).toBe(true);
	});
	it('is restored at the start where the book cannot be opened', async () => {
		const before = all(book);
		await makeBackup(book, 5, day('2026-11-22'));
		book.close();
		ruin(file);
		expect(() => openBook(file)).toThrow();
		expect(() => restoreAtStart(file, 'nothing.db', day('2026-11-23'))).toThrow(/cannot be read as a book/);
		expect(restoreAtStart(file, 'newest', day('2026-11-23'))).toMatch(
			/^Restored .*book\.db from .*book-2026-11-22T06-00-00-000\.db\. What was there is kept as .*\.replaced-2026-11-23T06-00-00\.$/
		);
		book = openBook(file);
		expect(all(book)).toBe(before);
	});
	it('that is not whole is refused, and the book stays as it is', async () => {
		const { id } = await makeBackup(book, 5, day('2026-11-23'));
		const copy = path.join(backupFolder(file)!, id);
		ruin(copy);
		const before = all(book);
		expect(await messageOf(await call('POST', `/api/backups/${id}/restore`))).toMatch(/^This copy cannot be used: it /);
		expect(() => replaceBook(book, copy, day('2026-11-24'))).toThrow(/^This copy was not restored: it /);
		expect(all(book)).toBe(before);
		const strange = new Database(path.join(folder, 'strange.db'));
		strange.exec('CREATE TABLE a (b)');
		strange.close();
		expect(checkCopy(path.join(folder, 'strange.db'))).toEqual({ fault: 'it is no book of this program' });
		expect((await call('GET', '/api/backups/..%2Fbook.db')).status).toBe(404);
	});
	it('tells what it holds beside what the book holds now', async () => {
		const { id } = await makeBackup(book, 5, day('2026-11-23'));
		undo(book, undoable(book)!.id);
		const preview = (await (await call('GET', `/api/backups/${id}`)).json()) as CopyPreview;
		expect(preview.copy.lastChange?.label).toBe('Changed who prepares the sheets');
		expect(preview.now.lastChange?.label).toBe('Undid: Changed who prepares the sheets');
		expect(preview.copy).toMatchObject({ fields: 21, passes: whatIsIn(book).passes });
	});
	it('is made once a day of a book with something in it, and the oldest go', async () => {
		expect(await backUpIfDue(book, day('2026-11-20'))).toBe(true);
		expect(await backUpIfDue(book, new Date('2026-11-21T05:59:59Z'))).toBe(false);
		expect(await backUpIfDue(book, day('2026-11-21'))).toBe(true);
		await makeBackup(book, 2, day('2026-11-22'));
		expect(listBackups(backupFolder(file)).map(({ at }) => at)).toEqual([
			'2026-11-22T06:00:00Z',
			'2026-11-21T06:00:00Z'
		]);
		const empty = openBook(path.join(folder, 'empty.db'));
		expect(await backUpIfDue(empty, day('2026-11-20'))).toBe(false);
		empty.close();
		await expect(makeBackup(openBook(':memory:'), 2, day('2026-11-22'))).rejects.toThrow('in no file');
	});
});

describe('an export', () => {
	it('of everything, imported into an empty book and exported again, is the same byte for byte', async () => {
		const world = await World.make();
		const bytes = asBookFile(world.book);
		const { copy } = (await (await call('POST', '/api/book/preview', bytes)).json()) as CopyPreview;
		expect(copy).toEqual(whatIsIn(world.book));
		expect((await call('POST', '/api/book', bytes)).status).toBe(200);
		book = openBook(file);
		expect(Buffer.compare(asBookFile(book), bytes)).toBe(0);
		expect(all(book)).toBe(all(world.book));
		undo(book, undoable(book)!.id);
		expect(existsSync(`${file}.import`)).toBe(false);
	});
	it('holds what others read: a line of CSV to a row, and the fields with their ground', () => {
		const parts = unzipSync(asBookFile(book));
		const csv = strFromU8(parts['csv/field.csv']!).split('\r\n');
		expect(csv).toHaveLength(1 + 21 + 1);
		const fields = JSON.parse(strFromU8(parts['fields.geojson']!)) as { features: { geometry: { type: string } }[] };
		expect(fields.features).toHaveLength(rowsOf(book, 'field').filter(({ boundary }) => boundary !== null).length);
		expect(fields.features[0]!.geometry.type).toBe('Polygon');
	});
	it('of an older layout is brought to the newest', () => {
		const older = new Database(':memory:');
		migrate(older, 13);
		fillBook(older, oldBook(demo));
		const { db, head } = readBookFile('old.zip', asBookFile(older));
		expect(head.layout).toBe(13);
		expect(db.pragma('user_version', { simple: true })).toBe(NEWEST_LAYOUT);
		expect(rowsOf(db, 'field')).toHaveLength(rowsOf(older, 'field').length);
		db.close();
	});
	it('of one grower is added to another book as one action, and not twice', () => {
		const grower = rowsOf(book, 'grower').find(({ name }) => name === 'Quillet Bros')!;
		const bytes = asBookFile(book, String(grower.id));
		const other = openBook(':memory:');
		fillBook(other, { growers: [], prices: [] });
		const read = readBookFile('quillet.zip', bytes);
		expect(whatIsIn(read.db)).toMatchObject({ growers: 1, fields: 4 });
		expect(tablesOf(read.db).filter((table) => rowsOf(read.db, table).length > 0)).not.toContain('event');
		expect(addGrower(other, read)).toEqual({ fields: 4, notes: [] });
		expect(whatIsIn(other)).toMatchObject({
			growers: 1,
			fields: 4,
			lastChange: { label: 'Imported Quillet Bros with 4 fields' }
		});
		// Each book counts its rows itself.
		const passes = (db: Database.Database) => rowsOf(db, 'pass').map(({ seq: _, ...pass }) => pass);
		expect(passes(other)).toEqual(passes(read.db));
		const numbers = rowsOf(other, 'pass').map(({ seq }) => Number(seq));
		expect(numbers).toEqual(numbers.toSorted((a, b) => a - b));
		expect(() => addGrower(other, read)).toThrow('Quillet Bros is in this book already');
		undo(other, undoable(other)!.id);
		expect(whatIsIn(other)).toMatchObject({ growers: 0, fields: 0, samples: 0 });
		read.db.close();
	});
	it('of one grower leaves bags of soil out whose codes stand on labels of the other book', () => {
		const grower = rowsOf(book, 'grower').find(({ name }) => name === 'Quillet Bros')!;
		const read = readBookFile('quillet.zip', asBookFile(book, String(grower.id)));
		const other = openBook(':memory:');
		const [code, ...more] = rowsOf(read.db, 'bag').map((row) => String(row.code));
		const depth = { top: 0, bottom: 6, depthUnit: 'in' };
		const bag = { depth, cores: 15, plannedOn: '2026-11-01', round: 'r' };
		const field = { name: 'Own', samples: [], years: [], bags: [{ code, bag }] };
		fillBook(other, { growers: [{ name: 'Another', fields: [field] }], prices: [] });
		expect(addGrower(other, read).notes).toEqual([
			'A bag of soil stays in the file: its code stands on a label of this book.'
		]);
		expect(rowsOf(other, 'bag')).toHaveLength(1 + more.length);
		const twice = [{ ...field, bags: [...field.bags, ...field.bags] }];
		expect(() => fillBook(other, { growers: [{ name: 'Third', fields: twice }], prices: [] })).toThrow(
			`two bags have the code "${code}"`
		);
		read.db.close();
	});
	let whole: Uint8Array | undefined;
	it.each<[string, (parts: Record<string, Uint8Array>) => void, RegExp]>([
		['a table is missing', (parts) => delete parts['tables/pass.json'], /lacks tables\/pass\.json/],
		[
			'rows are missing',
			(parts) => (parts['tables/pass.json'] = strToU8('[]')),
			/tables\/pass\.json must hold \d+ rows/
		],
		['it is no JSON', (parts) => (parts['tables/pass.json'] = strToU8('[{')), /tables\/pass\.json is no JSON/],
		[
			'a newer program wrote it',
			(parts) => edit(parts, 'cosecha.json', '"layout": ', '"layout": 9'),
			/use a newer program/
		],
		[
			'it is something else',
			(parts) => (parts['cosecha.json'] = strToU8('{}')),
			/not a book that this program exported/
		],
		[
			'a column is unknown',
			(parts) => edit(parts, 'tables/grower.json', '{"id"', '{"wealth":1,"id"'),
			/row 1 of tables\/grower\.json has “wealth”/
		],
		[
			'a value breaks a rule',
			(parts) => edit(parts, 'tables/field_year.json', '"year":2027', '"year":1066'),
			/of tables\/field_year\.json cannot stand/
		],
		[
			'a row refers to nothing',
			(parts) => edit(parts, 'tables/field.json', '"grower_id":"', '"grower_id":"x'),
			/refers to a grower that is not in the file/
		]
	])('is refused whole where %s', async (_, break_, message) => {
		whole ??= asBookFile(book);
		const parts = unzipSync(whole);
		break_(parts);
		const before = all(book);
		expect(await messageOf(await call('POST', '/api/book', zipSync(parts)))).toMatch(message);
		expect(all(book)).toBe(before);
		expect(existsSync(`${file}.import`)).toBe(false);
	});
	it('that is no zip is refused', async () => {
		expect(await messageOf(await call('POST', '/api/book/preview', strToU8('hello')))).toMatch(
			/is no zip, or a broken one/
		);
	});
});

it('a migration that fails half way leaves the book as it was, with the copy of before beside it', () => {
	const before = all(book);
	const failing = ['CREATE TABLE after_this (id TEXT PRIMARY KEY); DELETE FROM price; INSERT INTO nowhere VALUES (1)'];
	const migrations = [...Array.from({ length: NEWEST_LAYOUT }, () => ''), ...failing];
	expect(() => migrate(book, migrations.length, migrations)).toThrow('no such table: nowhere');
	expect(book.pragma('user_version', { simple: true })).toBe(NEWEST_LAYOUT);
	expect(all(book)).toBe(before);
	const copy = new Database(`${file}.layout-${NEWEST_LAYOUT}`, { readonly: true });
	expect(all(copy)).toBe(before);
	copy.close();
});

function edit(parts: Record<string, Uint8Array>, name: string, from: string, to: string): void {
	const text = strFromU8(parts[name]!);
	if (!text.includes(from)) throw new Error(`${name} has no ${from}`);
	parts[name] = strToU8(text.replace(from, to));
}
