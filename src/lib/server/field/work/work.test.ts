// What work on many fields leaves alone, what it says beside its changes, and what a year takes over from the one before.
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Database } from 'better-sqlite3';
import type { Pass, Work } from '../../../../core/schema-types';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { listFields } from '../../stores/fields';
import { changePasses, choose, findFieldYear, listPasses, markDone } from '../../stores/field-years';
import { setNextCrop } from '../../stores/plan/after-the-harvest';
import { changeHouseProgramme, findHouseProgramme, listHouseProgrammes } from '../../stores/plan/house-programmes';
import { beginWork, findWork, saveWork } from './runs';

const demo = readFileSync('demo/district.json', 'utf8');
const TODAY = '2026-11-23';
let book: Database;
beforeEach(() => {
	book = openBook(':memory:');
	fillBook(book, JSON.parse(demo));
});
const idOf = (name: string) => listFields(book).find((field) => field.name === name)!.id;
const yearOf = (name: string, year = 2027) => findFieldYear(book, idOf(name), year)!;
const pass = (change: Partial<Pass>): Pass => ({
	id: 'new',
	date: '2027-04-10',
	label: 'Pass',
	product: 'urea',
	rate: 100,
	unit: 'lb/ac',
	placement: 'broadcast',
	reason: '',
	...change
});

/** What a piece of work comes to on one field. */
async function on(name: string, work: Work, { year = 2027, today = TODAY, save = false, unscheduled = '' } = {}) {
	const library = libraryOf(book, theLibrary());
	const schedules = library.schedules.filter(({ crop }) => crop !== unscheduled);
	const desk = new Desk(book, { ...library, schedules }, today);
	const run = beginWork(desk, { year, fields: [idOf(name)], work });
	while (findWork(run)!.state === 'working') await new Promise((resolve) => setImmediate(resolve));
	const [row] = findWork(run)!.rows;
	if (save) saveWork(run);
	return row!;
}

describe('work on a field', () => {
	it('keeps manure in the plan and takes what it brings off the rest', async () => {
		const { id } = yearOf('Old Orchard Piece');
		const manure = theLibrary().products.find(({ manure: card }) => card)!;
		const spread = pass({
			product: manure.id,
			label: 'Bunches',
			rate: 4,
			unit: 'short ton/ac',
			placement: manure.placements[0]
		});
		changePasses(book, yearOf('Old Orchard Piece'), 'Spread', [], [spread]);
		await on('Old Orchard Piece', { kind: 'programme' }, { save: true });
		const after = listPasses(book, id).map(({ plan }) => plan);
		expect(after.filter(({ label }) => label === 'Bunches')).toHaveLength(1);
		expect(after.length).toBeGreaterThan(1);
	});
	it('takes nothing out of the plan of a crop whose passes it cannot propose', async () => {
		await on('Mill Strip', { kind: 'crop', crop: 'oats', goal: { by: 'amount', amount: 90 } }, { save: true });
		changePasses(book, yearOf('Mill Strip'), 'Planned', [], [pass({ label: 'By hand' })]);
		choose(book, yearOf('Mill Strip'), [{ nutrient: 'N', ownRate: 60, reason: 'As always' }], 'Own');
		const row = await on('Mill Strip', { kind: 'proposal' }, { unscheduled: 'oats' });
		expect(row).toMatchObject({
			changes: [],
			notes: ['No schedule of passes is known for oats; add the passes by hand.']
		});
	});
	it('takes the next version of a programme also where nothing else changes by it', async () => {
		await on('Old Orchard Piece', { kind: 'programme' }, { save: true });
		const { id, version, ...content } = listHouseProgrammes(book).find(({ name }) => name === 'Corn on heavy soil')!;
		changeHouseProgramme(book, id, { ...content, note: 'The same in other words' }, TODAY);
		expect((await on('Old Orchard Piece', { kind: 'programme' }, { save: true })).changes).toEqual([
			'Corn on heavy soil'
		]);
		expect(JSON.parse(yearOf('Old Orchard Piece').followed!)).toMatchObject({ programme: id, version: version + 1 });
		expect((await on('Old Orchard Piece', { kind: 'programme' })).changes).toEqual([]);
	});
	it('dates no pass before today', async () => {
		const today = '2027-05-20';
		await on('Old Orchard Piece', { kind: 'programme' }, { today, save: true });
		const planned = listPasses(book, yearOf('Old Orchard Piece').id).map(({ plan }) => plan);
		expect(planned.length).toBeGreaterThan(1);
		for (const { date } of planned) expect(date >= today).toBe(true);
	});
	it('moves what goes on in the same trip along', async () => {
		const trip = [
			pass({ id: 'a', label: 'UAN', product: 'uan-28', trip: 't', placement: 'injected' }),
			pass({ id: 'b', label: 'Sulfur with it', product: 'ammonium-thiosulfate', trip: 't', placement: 'injected' }),
			pass({ id: 'c', label: 'Alone', product: 'potash' })
		];
		changePasses(book, yearOf('Mill Strip'), 'Planned', [], trip);
		const { changes } = await on('Mill Strip', { kind: 'days', days: -2, product: 'uan-28' }, { save: true });
		expect(changes).toEqual(['UAN: 10 Apr 2027, now 8 Apr 2027', 'Sulfur with it: 10 Apr 2027, now 8 Apr 2027']);
		expect(listPasses(book, yearOf('Mill Strip').id).map(({ plan }) => [plan.label, plan.date])).toContainEqual([
			'Alone',
			'2027-04-10'
		]);
	});
	it('swaps no product that is not put on so, and changes none of the field then', async () => {
		changePasses(
			book,
			yearOf('Mill Strip'),
			'Planned',
			[],
			[pass({ id: 'a', label: 'Band', placement: 'deep strip band' }), pass({ id: 'b', label: 'Broadcast' })]
		);
		const row = await on('Mill Strip', { kind: 'product', from: 'urea', to: 'ammonium-sulfate' });
		expect(row).toMatchObject({ changes: [], cannot: expect.stringMatching(/is not put on as Band is/) as string });
		expect((await on('Mill Strip', { kind: 'product', from: 'potash', to: 'urea' })).cannot).toMatch(
			/^no open pass of /
		);
	});
	it('leaves applied passes alone, also when it rounds', async () => {
		changePasses(book, yearOf('Mill Strip'), 'Planned', [], [pass({ rate: 103 })]);
		const [only] = listPasses(book, yearOf('Mill Strip').id);
		markDone(book, yearOf('Mill Strip'), only!.plan, '2027-04-11');
		expect((await on('Mill Strip', { kind: 'rounding', rounding: { lb: 10 } })).cannot).toBe('no pass is open');
	});
	it('rounds nothing that is at its step already', async () => {
		changePasses(book, yearOf('Mill Strip'), 'Planned', [], [pass({ rate: 110 })]);
		expect(await on('Mill Strip', { kind: 'rounding', rounding: { lb: 10 } })).toMatchObject({ changes: [] });
	});
});

describe('what a year takes over', () => {
	const next: Work = { kind: 'crop', goal: { by: 'best' } };
	it('is P and K for two crops, but for a nutrient that is settled there already', async () => {
		const before = yearOf('Kingfisher Bend');
		setNextCrop(book, before, { next_crop: 'soybean', next_yield_goal: 52 });
		const both = (['P2O5', 'K2O'] as const).map((nutrient) => ({
			nutrient,
			method: `crop-removal/${nutrient === 'P2O5' ? 'phosphorus' : 'potassium'}`,
			bothYears: true as const
		}));
		choose(book, before, both, 'Chose for two years');
		const taken = await on('Kingfisher Bend', next, { year: 2028, save: true });
		expect(taken.changes.filter((change) => / none: the rate of 2027 is for both years$/.test(change))).toHaveLength(2);
		choose(book, yearOf('Kingfisher Bend', 2028), [{ nutrient: 'K2O', ownRate: 30, reason: 'Thin spots' }], 'Own');
		expect((await on('Kingfisher Bend', next, { year: 2028 })).changes).toEqual([]);
	});
	it('is no lime where manure went on by the ton', async () => {
		const manure = theLibrary().products.find(({ manure: card }) => card)!;
		const spread = pass({ product: manure.id, rate: 4, unit: 'short ton/ac', placement: manure.placements[0] });
		changePasses(book, yearOf('Mill Strip'), 'Spread', [], [spread]);
		const [only] = listPasses(book, yearOf('Mill Strip').id);
		markDone(book, yearOf('Mill Strip'), only!.plan, '2027-04-11');
		const { changes, notes } = await on('Mill Strip', next, { year: 2028 });
		expect(changes.join()).not.toMatch(/lime/);
		expect(notes.join()).not.toMatch(/lime/);
	});
	it('is rows and target of before, and its own crop for an orchard', async () => {
		expect((await on('Pippin Block', next, { year: 2028 })).changes[0]).toMatch(
			/^Apple 24 ton\/ac \(the harvest of 2026\)$/
		);
		await on('Upper Saltlick', next, { year: 2028, save: true });
		const corn = findFieldYear(book, idOf('Upper Saltlick'), 2026)!;
		const row = yearOf('Upper Saltlick', 2028);
		expect(row).toMatchObject({ crop: 'corn-grain', previous_crop: 'soybean', row_spacing_in: corn.row_spacing_in });
		expect(row.planting_date).toBeNull();
	});
});

it('versions of the demo’s programmes are kept from the first on', () => {
	for (const { id, name, version } of listHouseProgrammes(book)) {
		expect(findHouseProgramme(book, { programme: id, version })?.name).toBe(name);
	}
	expect(findHouseProgramme(book, { programme: 'none', version: 1 })).toBeUndefined();
});
