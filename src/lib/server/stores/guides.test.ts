import { readFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { PackDocument } from '../../../core/schema-types';
import firstLayout from '../book/layouts/001-020/001-book.sql?raw';
import { undo, undoable } from '../book/act';
import { migrate } from '../book/migrate';
import { openBook } from '../book/open-book';
import { libraryOf } from '../current-library';
import { readLibrary } from '../knowledge';
import { listGuides, listGuideVersions, removeGuide, saveGuide, setGuideOff } from './guides';

const shipped = readLibrary(path.resolve('packs'));
const plains = (change: Partial<PackDocument> = {}): PackDocument => ({
	...(JSON.parse(readFileSync('demo/packs/central-plains-2003.json', 'utf8')) as PackDocument),
	...change
});
const methods = (db: ReturnType<typeof openBook>) => libraryOf(db, shipped).packs.rules.map(({ method }) => method);

let db: ReturnType<typeof openBook>;
beforeEach(() => {
	db = openBook(':memory:');
});

describe('a guide of the adviser’s own', () => {
	it('stands beside the shipped ones, and undo takes it out', () => {
		saveGuide(db, plains(), '2026-11-23T10:00:00Z');
		expect(methods(db)).toContain('central-plains-2003/phosphorus');
		expect(methods(db)).toContain('tri-state-1995/phosphorus');
		undo(db, undoable(db)!.id);
		expect(methods(db)).not.toContain('central-plains-2003/phosphorus');
		expect(listGuides(db)).toEqual([]);
	});

	it('keeps every version, and never writes one over', () => {
		saveGuide(db, plains(), '2026-11-23T10:00:00Z');
		saveGuide(db, plains({ version: '1.0.1', title: 'Plains' }), '2026-11-23T11:00:00Z');
		expect(listGuideVersions(db, 'central-plains-2003').map(({ version }) => version)).toEqual(['1.0.1', '1.0.0']);
		expect(() => saveGuide(db, plains({ title: 'Other' }), '2026-11-23T12:00:00Z')).toThrow('raise the version');
		expect(listGuides(db)[0]?.document.title).toBe('Plains');
		removeGuide(db, 'central-plains-2003', 'Plains');
		expect(listGuides(db)).toEqual([]);
		expect(listGuideVersions(db, 'central-plains-2003')).toHaveLength(2);
	});

	it('is set aside and taken into use again', () => {
		setGuideOff(db, 'tri-state-1995', 'Tri-state guide 1995', true);
		expect(methods(db).some((method) => method.startsWith('tri-state-1995/'))).toBe(false);
		setGuideOff(db, 'tri-state-1995', 'Tri-state guide 1995', false);
		expect(methods(db)).toContain('tri-state-1995/lime');
	});

	it('stands in for a shipped one that a newer program brings under its name', () => {
		saveGuide(db, plains({ id: 'northern-plains' }), '2026-11-23T10:00:00Z');
		expect(methods(db).filter((method) => method.startsWith('northern-plains/'))).toEqual([
			'northern-plains/phosphorus',
			'northern-plains/potassium',
			'northern-plains/zinc'
		]);
	});
});

it('a book of the first layout is carried over with all that is in it', () => {
	const old = new Database(':memory:');
	old.exec(firstLayout);
	old.pragma('user_version = 1');
	old.exec(
		"INSERT INTO grower VALUES ('g', 'Tarrow'); INSERT INTO field (id, grower_id, name) VALUES ('f', 'g', 'North')"
	);
	old.exec("INSERT INTO field_year (id, field_id, year, crop, yield_goal) VALUES ('y', 'f', 2027, 'corn-grain', 160)");
	old.exec(
		"INSERT INTO choice (id, field_year_id, nutrient, method) VALUES ('y:N', 'y', 'N', 'tri-state-1995/nitrogen')"
	);
	migrate(old);
	expect(old.pragma('user_version', { simple: true })).toBe(23);
	expect(old.prepare('SELECT yield_goal, liming_product, next_crop FROM field_year').get()).toEqual({
		yield_goal: 160,
		liming_product: null,
		next_crop: null
	});
	expect(old.prepare('SELECT both_years FROM choice').get()).toEqual({ both_years: 0 });
	migrate(old);
	expect(old.prepare('SELECT count(*) AS fields FROM field').get()).toEqual({ fields: 1 });
});
