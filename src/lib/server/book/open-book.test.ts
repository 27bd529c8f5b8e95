// What a start finds in place of a book: it says so in sentences, and writes nothing to it.
import {
	mkdirSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	readlinkSync,
	rmSync,
	statSync,
	utimesSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { troublePage } from '../http/trouble-page';
import { BookTrouble, troubleOf } from './book-trouble';
import { makeBackup } from './copies/backups';
import { migrate, NEWEST_LAYOUT } from './migrate';
import { openBook } from './open-book';

let folder: string;
let file: string;
beforeEach(() => {
	folder = mkdtempSync(path.join(tmpdir(), 'cosecha-start-'));
	file = path.join(folder, 'book.db');
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A file as another program, or another version, left it. */
function sqliteFile(sql: string): void {
	const db = new Database(file);
	db.exec(sql);
	db.close();
}

/** What a handle of this process is open on. */
function linkOf(handle: string): string {
	try {
		return readlinkSync(`/proc/self/fd/${handle}`);
	} catch {
		return '';
	}
}

describe('a file that is no book is left as it is', () => {
	it.each([
		[
			'of a newer layout',
			() => openAndSet(`user_version = ${NEWEST_LAYOUT + 5}`),
			'written by a newer Cosecha (layout 28'
		],
		['of random bytes', () => writeFileSync(file, 'no book, but a letter'), 'it does not begin as an SQLite file does'],
		[
			'that was overwritten with zeros',
			() => writeFileSync(file, new Uint8Array(8192)),
			'start it with “--restore newest”'
		],
		['of another program', () => sqliteFile('CREATE TABLE songs (a)'), 'it is the SQLite file of another program'],
		[
			'of another program that says so',
			() => sqliteFile('PRAGMA application_id = 1; CREATE TABLE field_year (a); PRAGMA user_version = 3'),
			'it is the SQLite file of another program'
		],
		[
			'of another program with layouts of its own',
			() => sqliteFile('CREATE TABLE songs (a); PRAGMA user_version = 3'),
			'it is the SQLite file of another program'
		],
		['that is a folder', () => mkdirSync(file), 'it is a folder'],
		[
			'without a byte',
			() => {
				writeFileSync(file, '');
				utimesSync(file, 1_700_000_000, 1_700_000_000);
			},
			'it is empty (0 bytes)'
		],
		['with a torn page', tear, 'is damaged: ']
	])('%s', (_, make, said) => {
		make();
		const bytes = statSync(file).isDirectory() ? undefined : readFileSync(file);
		expect(() => openBook(file)).toThrow(BookTrouble);
		expect(() => openBook(file)).toThrow(said);
		if (bytes) expect(readFileSync(file).equals(bytes)).toBe(true);
		// Let go of again: a book that was put right can be moved there.
		expect(readdirSync('/proc/self/fd').filter((handle) => linkOf(handle).startsWith(file))).toEqual([]);
	});

	function openAndSet(pragma: string): void {
		const db = openBook(file);
		db.pragma(pragma);
		db.pragma('journal_mode = DELETE');
		db.close();
	}

	/** A whole book, then a page of it overwritten. */
	function tear(): void {
		openAndSet(`user_version = ${NEWEST_LAYOUT}`);
		const bytes = readFileSync(file);
		bytes.fill(0xaa, 3 * 4096, 5 * 4096);
		writeFileSync(file, bytes);
	}
});

describe('a book', () => {
	it('is new where there is no file, and is for its owner alone, with its copies', async () => {
		const db = openBook(file);
		db.prepare("INSERT INTO grower (id, name) VALUES ('g', 'Ada')").run();
		expect(db.pragma('application_id', { simple: true })).toBe(0x436f7365);
		await makeBackup(db, 2, new Date('2026-11-23T06:00:00Z'));
		const copies = readdirSync(`${file}.backups`).map((name) => path.join(`${file}.backups`, name));
		const modes = [file, `${file}-wal`, ...copies].flatMap((one) => {
			const found = statSync(one, { throwIfNoEntry: false });
			return found ? [found.mode & 0o777] : [];
		});
		expect(modes.length).toBeGreaterThanOrEqual(3);
		expect(new Set(modes)).toEqual(new Set([0o600]));
		db.close();
	});
	it('of an older layout is brought along, and marked as ours', () => {
		const old = new Database(file);
		migrate(old, 19);
		old.close();
		const db = openBook(file);
		expect([db.pragma('user_version', { simple: true }), db.pragma('application_id', { simple: true })]).toEqual([
			NEWEST_LAYOUT,
			0x436f7365
		]);
		expect(statSync(`${file}.layout-19`).mode & 0o777).toBe(0o600);
		db.close();
	});
	it('that another start is just making is waited for, not made twice', () => {
		writeFileSync(file, '');
		const [one, two] = [openBook(file), openBook(file)];
		expect(two.prepare('SELECT count(*) AS n FROM field_year').get()).toEqual({ n: 0 });
		one.close();
		two.close();
		// A start that looked before the other was done.
		const late = new Database(file);
		const pragma = late.pragma.bind(late);
		let asked = 0;
		late.pragma = ((text: string, about: object) =>
			text === 'user_version' && asked++ === 0 ? 0 : pragma(text, about)) as typeof late.pragma;
		expect(() => migrate(late)).not.toThrow();
		late.close();
	});
});

describe('what the system says', () => {
	const failed = (code: string) => Object.assign(new Error('as the system says it'), { code });
	it.each([
		['SQLITE_READONLY', 'read-only'],
		['EROFS', 'read-only'],
		['SQLITE_FULL', 'The disk of the book x.db is full'],
		['ENOSPC', 'The disk of the book x.db is full'],
		['EACCES', 'this user may not read and write it'],
		['SQLITE_CANTOPEN', 'this user may not read and write it'],
		['SQLITE_BUSY', 'is in use by another program'],
		['SQLITE_CORRUPT_INDEX', 'is damaged: it cannot be read']
	])('%s is told in a sentence', (code, said) => {
		const trouble = troubleOf('x.db', failed(code));
		expect(trouble).toBeInstanceOf(BookTrouble);
		expect((trouble as Error).message).toContain(said);
		expect((trouble as Error).message).toContain('(as the system says it)');
	});
	it('of what nobody foresaw is thrown on', () => {
		const error = failed('SQLITE_MISUSE');
		expect(troubleOf('x.db', error)).toBe(error);
	});
	it('stands on a page, or in a refusal of the API, and runs no script', async () => {
		const page = troublePage('/field/a', 'The book <script>x</script> & more');
		expect([page.status, await page.text()]).toEqual([
			503,
			expect.stringContaining('The book &lt;script&gt;x&lt;/script&gt; &amp; more')
		]);
		const api = troublePage('/api/fields', 'The book is damaged');
		expect([api.status, await api.json()]).toEqual([503, expect.objectContaining({ message: 'The book is damaged' })]);
	});
});
