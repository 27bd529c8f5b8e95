import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import { undo, undoable } from '../../book/act';
import { openBook } from '../../book/open-book';
import { addField } from '../fields';
import { findFieldYear, goalColumns, setGoal } from '../field-years';
import {
	addWaterSource,
	bookedIrrigation,
	bookWaterReport,
	cropsGrownWith,
	enterWaterReports,
	irrigationOf,
	listWaterSources,
	removeWaterReport,
	removeWaterSource,
	setIrrigation
} from './water-sources';

describe('sources of irrigation water', () => {
	let db: Database;
	let well: string;
	let field: string;
	const year = () => findFieldYear(db, field, 2027)!;
	const report = (takenOn: string, no3n: number) => ({ takenOn, water: { unit: 'ppm' as const, no3n } });
	beforeEach(() => {
		db = openBook(':memory:');
		field = addField(db, { name: 'North', grower: 'Tarrow', areaAcres: 40 });
		setGoal(db, field, 2027, goalColumns({ crop: 'corn-grain', yieldGoal: 160 }));
		well = addWaterSource(db, { name: 'North well', kind: 'well' }).id;
	});

	it('of a file come in one action: new sources with their reports, known ones passed over, undone together', () => {
		bookWaterReport(db, well, report('2026-05-01', 6));
		const line = (source: string, takenOn: string, no3n: number) => ({
			source,
			kind: 'pond' as const,
			report: report(takenOn, no3n)
		});
		const all = [
			line('NORTH well', '2026-05-01', 6),
			line('North well', '2026-07-01', 7),
			line('Mill pond', '2026-05-01', 1),
			line('mill pond', '2026-06-01', 2),
			line('Mill Pond', '2026-06-01', 2)
		];
		expect(enterWaterReports(db, all)).toEqual({ entered: 3, known: 2, sources: 1 });
		expect(listWaterSources(db).map(({ name, kind, reports }) => [name, kind, reports.length])).toEqual([
			['Mill pond', 'pond', 2],
			['North well', 'well', 2]
		]);
		undo(db, undoable(db)!.id);
		expect(listWaterSources(db).map(({ name, reports }) => [name, reports.length])).toEqual([['North well', 1]]);
	});

	it('say what is grown with them from a year on', () => {
		setIrrigation(db, year(), { source: well, inchesByMonth: { 6: 4 } });
		expect(cropsGrownWith(db, 2027)).toEqual(new Map([[well, ['corn-grain']]]));
		expect(cropsGrownWith(db, 2028)).toEqual(new Map());
	});

	it('are told apart by name, with their reports the newest first', () => {
		expect(() => addWaterSource(db, { name: 'north WELL', kind: 'pond' })).toThrow('already');
		bookWaterReport(db, well, report('2025-05-01', 4));
		bookWaterReport(db, well, report('2026-05-01', 6));
		const [source] = listWaterSources(db);
		expect(source!.reports.map(({ report: one }) => one.takenOn)).toEqual(['2026-05-01', '2025-05-01']);
		removeWaterReport(db, well, source!.reports[0]!.id);
		expect(listWaterSources(db)[0]!.reports).toHaveLength(1);
		undo(db, undoable(db)!.id);
		expect(listWaterSources(db)[0]!.reports).toHaveLength(2);
	});

	it('a field’s year goes by the newest report up to its end, else by the oldest', () => {
		const booked = { source: well, inchesByMonth: { 6: 4 } };
		setIrrigation(db, year(), booked);
		expect(bookedIrrigation(year())).toEqual(booked);
		expect(irrigationOf(year(), listWaterSources(db))).toBeUndefined();
		bookWaterReport(db, well, report('2028-05-01', 9));
		expect(irrigationOf(year(), listWaterSources(db))?.water.no3n).toBe(9);
		bookWaterReport(db, well, report('2027-05-01', 6));
		bookWaterReport(db, well, report('2026-05-01', 4));
		expect(irrigationOf(year(), listWaterSources(db))).toEqual({
			...booked,
			source: 'North well',
			water: { unit: 'ppm', no3n: 6 }
		});
	});

	it('a source stays while a field is irrigated from it, and goes with its reports then', () => {
		bookWaterReport(db, well, report('2026-05-01', 6));
		setIrrigation(db, year(), { source: well, inchesByMonth: { 6: 4 } });
		expect(() => removeWaterSource(db, well)).toThrow('North is irrigated from North well in 2027');
		setIrrigation(db, year(), null);
		removeWaterSource(db, well);
		expect(listWaterSources(db)).toEqual([]);
		undo(db, undoable(db)!.id);
		expect(listWaterSources(db)[0]!.reports).toHaveLength(1);
	});
});
