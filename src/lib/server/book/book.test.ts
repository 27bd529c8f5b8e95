import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { BookDocument } from '../../../core/schema-types';
import { InputError } from '../../../core/check/problem';
import { addField, addSample, correctSample, findField, listFields, listSamples, removeSample } from '../stores/fields';
import { choose, findFieldYear, listChoices, listFieldYears, listPasses, setGoal } from '../stores/field-years';
import { pricesOn, setPrices } from '../stores/prices';
import { backupsKept, changeSettings, readSettings } from '../stores/settings';
import { act, undo, undoable } from './act';
import { ActionError } from './action-error';
import { oldBook } from '../old-book.test-help';
import { fillBook } from './fill-book';
import { migrate } from './migrate';
import { openBook } from './open-book';
import { writeRow } from './tables';

let db: Database;
let field: string;
const goal = {
	crop: 'corn-grain',
	yield_goal: 160,
	previous_crop: null,
	planting_date: null,
	row_spacing_in: null,
	target_ph: null
} as const;

beforeEach(() => {
	db = openBook(':memory:');
	field = addField(db, { name: 'North', grower: 'Tarrow', areaAcres: 40 });
});

describe('undo', () => {
	it('puts every row of an action back, and can itself be seen in the log', () => {
		setGoal(db, field, 2027, goal);
		setGoal(db, field, 2027, { ...goal, yield_goal: 180 });
		undo(db, undoable(db, field)!.id);
		expect(findFieldYear(db, field, 2027)?.yield_goal).toBe(160);
		undo(db, undoable(db, field)!.id);
		expect(findFieldYear(db, field, 2027)).toBeUndefined();
		expect(undoable(db, field)).toBeUndefined();
		expect(undoable(db)?.label).toBe('Added North');
	});

	it('puts a removed row back where it stood, also among others of its day', () => {
		const sampled = (labNumber: string) =>
			addSample(db, field, { lab: 'Fenmoor', labNumber, report: { date: '2026-10-01', layers: [] } } as never);
		for (const number of ['1', '2', '3']) sampled(number);
		const newest = () => listSamples(db, field).map(({ labNumber }) => labNumber);
		expect(newest()).toEqual(['3', '2', '1']);
		const [, second] = listSamples(db, field);
		removeSample(db, field, second!.id);
		const removed = undoable(db, field)!.id;
		undo(db, removed);
		expect(newest()).toEqual(['3', '2', '1']);
		// Also where it was the last, and another was written after it was removed.
		removeSample(db, field, listSamples(db, field)[0]!.id);
		const last = undoable(db, field)!.id;
		sampled('4');
		expect(newest()).toEqual(['4', '2', '1']);
		undo(db, last);
		expect(newest()).toEqual(['4', '3', '2', '1']);
	});

	it('of a row removed under an older layout puts it back where it stood', () => {
		const old = new Sqlite(':memory:');
		migrate(old, 21);
		old.exec(
			"INSERT INTO grower (id, name) VALUES ('g', 'Tarrow'); INSERT INTO field (id, grower_id, name) VALUES ('f', 'g', 'North')"
		);
		const row = (id: string) => ({
			id,
			field_id: 'f',
			lab: 'Fenmoor',
			lab_number: id,
			report: '{"date":"2026-10-01","layers":[]}'
		});
		for (const id of ['1', '2']) writeRow(old, 'sample', row(id));
		const changes = JSON.stringify([{ table: 'sample', id: '3', before: row('3'), after: null, place: 3 }]);
		old.prepare("INSERT INTO event (at, label, changes) VALUES ('2026-11-01', 'Removed a sample', ?)").run(changes);
		migrate(old);
		addSample(old, 'f', { lab: 'Fenmoor', labNumber: '4', report: { date: '2026-10-01', layers: [] } } as never);
		undo(old, 1);
		expect(listSamples(old, 'f').map(({ labNumber }) => labNumber)).toEqual(['4', '3', '2', '1']);
		old.close();
	});

	it('refuses where the row was changed again since, and changes nothing', () => {
		setGoal(db, field, 2027, goal);
		const first = undoable(db, field)!.id;
		setGoal(db, field, 2027, { ...goal, yield_goal: 180 });
		expect(() => undo(db, first)).toThrow(/cannot be undone, because/);
		expect(findFieldYear(db, field, 2027)?.yield_goal).toBe(180);
	});

	it('refuses to take away what later work stands on', () => {
		const added = undoable(db)!.id;
		setGoal(db, field, 2027, goal);
		expect(() => undo(db, added)).toThrow(ActionError);
		expect(findField(db, field)?.name).toBe('North');
	});

	it('refuses twice, and what never was', () => {
		changeSettings(db, { units: 'metric' });
		const { id } = undoable(db)!;
		undo(db, id);
		expect(readSettings(db).units).toBe('us');
		expect(() => undo(db, id)).toThrow('already undone');
		expect(() => undo(db, 999)).toThrow('no such change');
	});
});

it('several settings are one action, and go back as one', () => {
	changeSettings(db, { units: 'metric', preparedBy: 'Ada', backupsKept: 7 });
	expect(undoable(db)!.label).toBe(
		'Switched units, changed who prepares the sheets, changed how many backups are kept'
	);
	expect([readSettings(db), backupsKept(db)]).toEqual([
		expect.objectContaining({ units: 'metric', preparedBy: 'Ada' }),
		7
	]);
	undo(db, undoable(db)!.id);
	expect(readSettings(db)).toMatchObject({ units: 'us', preparedBy: '' });
	expect(backupsKept(db)).toBe(30);
});

describe('an action', () => {
	it('is all or nothing', () => {
		const before = db.prepare('SELECT count(*) AS n FROM event').get();
		expect(() =>
			act(db, { label: 'Broken' }, (writer) => {
				writer.insert('grower', { id: 'g', name: 'Someone' });
				writer.insert('field', { id: 'f', grower_id: 'nobody', name: 'Lost', note: '' });
			})
		).toThrow('What this belongs to was removed meanwhile. Reload the page.');
		expect(db.prepare("SELECT count(*) AS n FROM grower WHERE name = 'Someone'").get()).toEqual({ n: 0 });
		expect(db.prepare('SELECT count(*) AS n FROM event').get()).toEqual(before);
	});

	it('that changes nothing leaves no event', () => {
		setGoal(db, field, 2027, goal);
		const last = undoable(db)!.id;
		setGoal(db, field, 2027, goal);
		expect(undoable(db)?.id).toBe(last);
	});

	it('cannot change the log or an issued sheet', () => {
		expect(() => db.exec('DELETE FROM event')).toThrow('append-only');
		expect(() => db.exec("UPDATE event SET label = ''")).toThrow('append-only');
	});
});

describe('the book holds to its rules', () => {
	it('one field of a name for each grower', () => {
		expect(() => addField(db, { name: 'north', grower: 'tarrow', areaAcres: undefined })).toThrow(
			'already has a field named'
		);
		expect(addField(db, { name: 'North', grower: 'Quillet', areaAcres: undefined })).not.toBe(field);
		expect(listFields(db)).toHaveLength(2);
	});

	it('a choice is a method or an own rate with a reason, never both or neither', () => {
		setGoal(db, field, 2027, goal);
		const year = findFieldYear(db, field, 2027)!;
		choose(db, year, [{ nutrient: 'N', method: 'tri-state-1995/nitrogen' }], 'Chose');
		choose(db, year, [{ nutrient: 'N', ownRate: 140, reason: 'known ground' }], 'Own');
		expect(listChoices(db, year.id)).toEqual([{ nutrient: 'N', ownRate: 140, reason: 'known ground' }]);
		expect(() => choose(db, year, [{ nutrient: 'S', ownRate: 10, reason: ' ' }], 'No reason')).toThrow('CHECK');
	});

	it('prices hold from their day on', () => {
		setPrices(db, '2026-01-10', new Map([['nutrient:N', 0.55]]));
		setPrices(db, '2026-11-01', new Map([['nutrient:N', 0.62]]));
		expect(pricesOn(db, '2026-10-31').get('nutrient:N')).toBe(0.55);
		expect(pricesOn(db, '2026-11-01').get('nutrient:N')).toBe(0.62);
		expect(pricesOn(db, '2025-12-31').size).toBe(0);
	});

	it('an older book is copied before it is brought to the newest layout, and its passes have their columns', () => {
		const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-'));
		const file = path.join(folder, 'book.db');
		const older = new Sqlite(file);
		migrate(older, 7);
		const demo = JSON.parse(readFileSync('demo/district.json', 'utf8')) as BookDocument;
		// The growers of arable ground: a book of then has no column for a block.
		fillBook(older, oldBook(demo));
		older.close();
		const now = openBook(file);
		const pass = now.prepare('SELECT date, label, product, rate, unit, plan FROM pass LIMIT 1').get() as Record<
			string,
			string
		>;
		const { plan: kept, ...columns } = pass;
		expect(JSON.parse(kept!)).toMatchObject(columns);
		const plan = now
			.prepare("EXPLAIN QUERY PLAN SELECT 1 FROM pass WHERE done_on IS NULL AND date <= '2027-05-01'")
			.all();
		expect(JSON.stringify(plan)).toContain('pass_open');
		now.close();
		const copy = new Sqlite(`${file}.layout-7`, { readonly: true });
		expect(copy.pragma('user_version', { simple: true })).toBe(7);
		expect(copy.prepare('SELECT count(*) AS n FROM pass').get()).toMatchObject({ n: expect.any(Number) as number });
		copy.close();
		openBook(file).close();
		expect(readdirSync(folder).filter((name) => name.includes('layout'))).toEqual(['book.db.layout-7']);
		rmSync(folder, { recursive: true });
	});

	it('a book of a newer program is refused', () => {
		db.pragma('user_version = 99');
		expect(() => migrate(db)).toThrow('use a newer program');
	});
});

describe('the demo district', () => {
	const district = JSON.parse(readFileSync('demo/district.json', 'utf8')) as Record<string, unknown>;

	it('fills an empty book with nothing to undo', () => {
		const empty = openBook(':memory:');
		fillBook(empty, district);
		expect(undoable(empty)).toBeUndefined();
		const fields = listFields(empty);
		expect(fields.length).toBeGreaterThanOrEqual(14);
		expect(new Set(fields.map(({ grower }) => grower)).size).toBeGreaterThanOrEqual(4);
		for (const { id, name } of fields) {
			expect(listSamples(empty, id).length, name).toBeGreaterThanOrEqual(2);
			expect(listFieldYears(empty, id).length, name).toBeGreaterThanOrEqual(2);
		}
		const booked = listPasses(empty, listFieldYears(empty, fields.find(({ name }) => name === 'Crow Acre')!.id)[1]!.id);
		expect(booked[0]?.doneOn).toBe('2026-04-28');
	});

	it('that does not fit is refused whole', () => {
		const empty = openBook(':memory:');
		expect(() => fillBook(empty, { ...district, growers: [{ name: 'Half' }] })).toThrow(InputError);
		expect(listFields(empty)).toEqual([]);
	});
});

it('a typed sample takes a second layer, can be removed and brought back', () => {
	const layer = (top: number, bottom: number) => ({ top, bottom, depthUnit: 'in' as const, results: [] });
	const typed = (top: number, bottom: number) => ({
		lab: '',
		labNumber: '7',
		report: { date: '2026-10-01', layers: [layer(top, bottom)] }
	});
	addSample(db, field, typed(0, 8));
	addSample(db, field, typed(8, 24));
	const [sample, ...more] = listSamples(db, field);
	expect(more).toEqual([]);
	expect(sample?.report.layers).toEqual([layer(0, 8), layer(8, 24)]);
	expect(() => addSample(db, field, typed(0, 8))).toThrow('already has 0-8 in');
	const fixed = { lab: 'Lab 7', labNumber: '7b', report: { date: '2026-10-02', layers: [layer(0, 6)] } };
	correctSample(db, field, sample!.id, fixed);
	expect(listSamples(db, field)).toEqual([{ ...fixed, id: sample!.id }]);
	expect(undoable(db, field)?.label).toBe('Corrected a sample');
	undo(db, undoable(db, field)!.id);
	expect(listSamples(db, field)[0]?.report.layers).toEqual([layer(0, 8), layer(8, 24)]);
	removeSample(db, field, sample!.id);
	expect(() => correctSample(db, field, sample!.id, fixed)).toThrow('not in the book any more');
	expect(listSamples(db, field)).toEqual([]);
	undo(db, undoable(db, field)!.id);
	expect(listSamples(db, field)[0]?.report.date).toBe('2026-10-01');
});
