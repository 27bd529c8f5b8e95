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
