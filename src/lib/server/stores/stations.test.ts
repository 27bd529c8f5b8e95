import { expect, it } from 'vitest';
import { openBook } from '../book/open-book';
import { undo, undoable } from '../book/act';
import { libraryOf } from '../current-library';
import { theLibrary } from '../knowledge';
import { readHouseRules, setHouseRules } from './house-rules';
import { addWeather, listStations, readOutlook, setOutlook } from './stations';

const day = (date: string, rainMm = 0) => ({ date, minC: 2, maxC: 12, rainMm });

it('days of a station are added, replaced and undone, and the library follows at once', () => {
	const db = openBook(':memory:');
	expect(addWeather(db, 'Our yard', 42, [day('2026-11-02', 3), day('2026-11-01')])).toEqual({ added: 2, replaced: 0 });
	expect(listStations(db)[0]!.days.map(({ date }) => date)).toEqual(['2026-11-01', '2026-11-02']);
	const first = libraryOf(db, theLibrary());
	expect(first.station).toMatchObject({ name: 'Our yard', latitude: 42, simulated: true });
	expect(addWeather(db, 'our YARD', 42, [day('2026-11-02', 9), day('2026-11-03')])).toEqual({ added: 1, replaced: 1 });
	expect(libraryOf(db, theLibrary()).measured.map(({ rainMm }) => rainMm)).toEqual([0, 9, 0]);
	undo(db, undoable(db)!.id);
	expect(libraryOf(db, theLibrary()).measured.map(({ rainMm }) => rainMm)).toEqual([0, 3]);
	undo(db, undoable(db)!.id);
	expect(listStations(db)).toEqual([]);
	expect(libraryOf(db, theLibrary()).station).toBe(theLibrary().station);
	db.close();
});

it('outlook and my rules are kept, read back and undone', () => {
	const db = openBook(':memory:');
	expect(readOutlook(db)).toBeUndefined();
	setOutlook(db, { from: '2027-06-01', rainMm: [0, 4] });
	expect(libraryOf(db, theLibrary()).outlook).toEqual({ from: '2027-06-01', rainMm: [0, 4] });
	setOutlook(db, null);
	expect(readOutlook(db)).toBeUndefined();
	const rules = { noGo: [{ from: '12-15', to: '03-01', what: 'phosphate' as const, reason: 'Law.' }] };
	setHouseRules(db, rules);
	expect(libraryOf(db, theLibrary()).houseRules).toEqual(rules);
	undo(db, undoable(db)!.id);
	expect(readHouseRules(db)).toEqual({ noGo: [] });
	db.close();
});
