import fc from 'fast-check';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { WeatherDay } from '../../../core/schema-types';
import { addWeather, listStations } from '../stores/stations';
import { undo, undoable } from './act';
import { openBook } from './open-book';
import { cutBetween, isAsLeft, withoutCut } from './text-cut';

it('a cut leads back from any text to any other, and knows one that was changed since', () => {
	const text = fc.string({ unit: fc.constantFrom('a', 'b', '0', ',', '[') });
	fc.assert(
		fc.property(text, text, (before, after) => {
			const cut = cutBetween(before, after);
			expect(withoutCut(after, cut)).toBe(before);
			expect(isAsLeft(after, cut)).toBe(true);
			expect(isAsLeft(`${after}.`, cut)).toBe(false);
			expect(cut.before.length + cut.after.length).toBeLessThanOrEqual(before.length + after.length);
		})
	);
	expect(cutBetween('aaa', 'aaaa')).toMatchObject({ before: '', after: 'a' });
});

describe('the log of a weather station', () => {
	let db: Database;
	const day = (at: number, rainMm = 1): WeatherDay => ({
		date: new Date(Date.UTC(2024, 0, 1 + at)).toISOString().slice(0, 10),
		minC: 3,
		maxC: 12,
		rainMm
	});
	const logged = () =>
		db.prepare<[], number>('SELECT length(changes) FROM event ORDER BY id DESC LIMIT 1').pluck().get()!;
	const days = () => listStations(db)[0]!.days;
	beforeEach(() => {
		db = openBook(':memory:');
		addWeather(
			db,
			'Mill',
			41,
			Array.from({ length: 900 }, (_, at) => day(at))
		);
	});

	it('holds the day that was added, not all of them twice, and takes it back exactly', () => {
		const before = days();
		addWeather(db, 'Mill', 41, [day(900)]);
		expect(logged()).toBeLessThan(1000);
		expect(days()).toHaveLength(901);
		undo(db, undoable(db)!.id);
		expect(days()).toEqual(before);
		expect(logged()).toBeLessThan(1000);
	});
	it('undoes a day that was replaced in the middle, one after the other, and not out of turn', () => {
		const before = days();
		addWeather(db, 'Mill', 41, [day(450, 30)]);
		const first = undoable(db)!.id;
		addWeather(db, 'Mill', 41, [day(20, 9), day(901)]);
		expect(() => undo(db, first)).toThrow('changed again since');
		undo(db, undoable(db)!.id);
		undo(db, undoable(db)!.id);
		expect(days()).toEqual(before);
	});
});
