// One piece of work on many fields, through the operations the work table calls: previewed, saved once, undone once.
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import type { BookDocument, HouseProgramme, Work, WorkRow, WorkRun } from '../../../core/schema-types';
import { fillBook } from '../book/fill-book';
import { openBook } from '../book/open-book';
import { undo, undoable } from '../book/act';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { beginWork, findWork, saveWork } from '../field/work/runs';
import { theLibrary } from '../knowledge';
import { programmesPage } from '../pages/office/programmes-page';
import { workPage } from '../pages/office/work-page';
import { ratesPage } from '../pages/rates-page';
import { findFieldYear, listChoices, listPasses, markDone } from '../stores/field-years';
import { setNextCrop } from '../stores/plan/after-the-harvest';
import { listEvents } from '../stores/events';
import { addField, listFields } from '../stores/fields';
import { listHouseProgrammes } from '../stores/plan/house-programmes';
import { PROGRAMME_EXAMPLE } from './examples';
import { World } from './api.test-help';

let world: World;
const district = readFileSync('demo/district.json', 'utf8');
beforeEach(() => {
	world = new World();
	fillBook(world.book, JSON.parse(district));
});
const TODAY = '2026-11-23';
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), TODAY);
const idOf = (name: string) => listFields(world.book).find((field) => field.name === name)!.id;
const yearOf = (name: string, year = 2027) => findFieldYear(world.book, idOf(name), year)!;
const passesOf = (name: string, year = 2027) => listPasses(world.book, yearOf(name, year).id);

/** Works something out to its end. */
async function preview(
	work: Work,
	names: readonly string[] | 'all',
	year = 2027
): Promise<{ run: string; rows: WorkRow[] }> {
	const fields = names === 'all' ? listFields(world.book).map(({ id }) => id) : names.map(idOf);
	const answer = await world.call('POST /api/work', {}, { year, fields, work });
	if (!answer.ok) throw new Error(((await answer.json()) as { message: string }).message);
	const { id: run } = (await answer.json()) as { id: string };
	const rows = (await settled(run)).rows;
	return { run, rows };
}

async function settled(run: string): Promise<WorkRun> {
	for (let look = 0; look < 10_000; look++) {
		const work = (await (await world.call('GET /api/work/{run}', { run })).json()) as WorkRun;
		if (work.state !== 'working') return work;
		await new Promise((resolve) => setImmediate(resolve));
	}
	throw new Error('it does not end');
}

const save = (run: string) => world.call('POST /api/work/{run}/save', { run }, {});
const rowOf = (rows: readonly WorkRow[], name: string) => rows.find((row) => row.name === name)!;

describe('a house programme on many fields', () => {
	it('changes nothing before it is saved, then all at once, and one undo takes it back', async () => {
		const before = world.everything();
		const { run, rows } = await preview({ kind: 'programme' }, 'all');
		expect(world.everything()).toBe(before);
		expect(rowOf(rows, 'Lagoon One').cannot).toBe('no house programme is for oil palm');
		expect(rowOf(rows, 'Old Orchard Piece').changes).toEqual([
			'Corn on heavy soil',
			expect.stringMatching(/^N \d+ lb\/ac, P2O5 52.5 lb\/ac, K2O 37.5 lb\/ac, lime none$/) as string,
			expect.stringMatching(/^\d passes, /) as string
		]);
		expect(await (await save(run)).json()).toEqual({ fields: rows.filter(({ changes }) => changes.length > 0).length });
		expect(undoable(world.book)!.label).toMatch(/^Took house programmes on \d+ fields$/);
		expect(listChoices(world.book, yearOf('Old Orchard Piece').id)).toContainEqual({
			nutrient: 'P2O5',
			method: 'crop-removal/phosphorus',
			seen: expect.closeTo(52.5, 6) as number
		});
		for (const { plan } of passesOf('Old Orchard Piece')) {
			const step = { 'lb/ac': 5, 'gal/ac': 0.5, 'short ton/ac': 0.25 }[plan.unit];
			if (plan.rate >= step) expect(plan.rate % step).toBeCloseTo(0, 9);
		}
		expect(passesOf('Old Orchard Piece').some(({ plan }) => plan.product === 'urea')).toBe(false);
		undo(world.book, undoable(world.book)!.id);
		expect(passesOf('Old Orchard Piece')).toEqual([]);
		expect(yearOf('Old Orchard Piece').followed).toBeNull();
	});
	it('stands in the log of each field that it changed, and is undone from there', async () => {
		const logOf = (name: string) => listEvents(world.book, idOf(name), 5).map(({ label, undone }) => [label, undone]);
		const lagoon = logOf('Lagoon One');
		const { run } = await preview({ kind: 'programme' }, ['Old Orchard Piece', 'Kingfisher Bend', 'Lagoon One']);
		await save(run);
		const label = 'Took house programmes on 2 fields';
		expect(logOf('Kingfisher Bend')[0]).toEqual([label, false]);
		expect(logOf('Lagoon One')).toEqual(lagoon);
		undo(world.book, undoable(world.book, idOf('Old Orchard Piece'))!.id);
		expect(logOf('Kingfisher Bend').slice(0, 2)).toEqual([
			[`Undid: ${label}`, false],
			[label, true]
		]);
		// Undone from its own page, adding a field would take the page away.
		const id = addField(world.book, { name: 'New Piece', grower: 'Nobody', areaAcres: 10 });
		expect(undoable(world.book, id)).toBeUndefined();
		expect(undoable(world.book)!.label).toBe('Added New Piece');
	});
	it('leaves an own rate, what is applied and manure as they are, and the field says where it was overruled', async () => {
		const choices = [{ nutrient: 'N', ownRate: 140, reason: 'As in other years' }];
		const crow = { field: idOf('Crow Acre'), year: '2027' };
		await world.call('POST /api/fields/{field}/{year}/choices', crow, { choices });
		const [first] = passesOf('Crow Acre');
		markDone(world.book, yearOf('Crow Acre'), first!.plan, '2026-11-20');
		const { run, rows } = await preview({ kind: 'programme' }, ['Crow Acre']);
		expect(rows[0]!.notes[0]).toBe('N stays at the own rate: As in other years');
		await save(run);
		expect(listChoices(world.book, yearOf('Crow Acre').id)).toContainEqual({
			nutrient: 'N',
			ownRate: 140,
			reason: 'As in other years'
		});
		expect(passesOf('Crow Acre').find(({ plan }) => plan.id === first!.plan.id)?.doneOn).toBe('2026-11-20');
		const page = ratesPage(desk(), crow);
		expect(page.follows).toEqual({
			title: 'Corn on heavy soil, version 1, taken on 23 Nov 2026',
			since: '',
			overruled: ['N at the own rate of 140 lb/ac (As in other years)']
		});
	});
	it('by name is refused where it is not for the soil, with the reason, and not taken twice', async () => {
		const light = listHouseProgrammes(world.book).find(({ name }) => name === 'Corn on light soil')!;
		const { rows } = await preview({ kind: 'programme', programme: light.id }, ['Heronry', 'Old Orchard Piece']);
		expect(rowOf(rows, 'Heronry').changes[0]).toBe('Corn on light soil');
		expect(rowOf(rows, 'Old Orchard Piece').cannot).toMatch(
			/^Corn on light soil is not for this field: CEC \S+ is not below 12$/
		);
		await save((await preview({ kind: 'programme' }, ['Old Orchard Piece'])).run);
		const again = await preview({ kind: 'programme' }, ['Old Orchard Piece']);
		expect(again.rows[0]).toMatchObject({ changes: [] });
		expect((await save(again.run)).status).toBe(409);
	});
	it('has versions: a field keeps the one it was planned by', async () => {
		await save((await preview({ kind: 'programme' }, ['Heronry'])).run);
		const light = listHouseProgrammes(world.book).find(({ name }) => name === 'Corn on light soil')!;
		const { id, version: was, ...content } = light;
		expect(was).toBe(1);
		const next: HouseProgramme = { ...content, rounding: { lb: 10 } };
		for (const body of [next, next]) {
			expect((await world.call('PUT /api/programmes/{programme}', { programme: id }, body)).status).toBe(200);
		}
		const follows = () => ratesPage(desk(), { field: idOf('Heronry'), year: '2027' }).follows!;
		expect(follows()).toMatchObject({
			title: expect.stringMatching(/^Corn on light soil, version 1/) as string,
			since: 'version 2 is out'
		});
		const row = programmesPage(desk()).programmes.find((one) => one.id === id);
		expect(row).toMatchObject({ version: 2, fields: 1, older: 1 });
		expect((await world.call('DELETE /api/programmes/{programme}', { programme: id })).status).toBe(200);
		expect(follows().since).toBe('removed since');
		const programme = workPage(desk(), new URLSearchParams()).rows.find(({ name }) => name === 'Heronry')!.programme;
		expect(programme).toBe('a removed programme');
	});
	it('is refused with the field, the value and what would be right', async () => {
		const wrong = {
			...PROGRAMME_EXAMPLE,
			name: 'Another',
			crops: ['maize'],
			rates: [{ nutrient: 'N', methods: ['tri-state-1995/potassium'] }],
			products: [{ instead: 'urea', take: 'gold' }],
			nitrogen: [{ label: 'Late', product: 'potash', placement: 'leaf', daysFromPlanting: 30, sharePercent: 100 }]
		};
		const answer = await world.call('POST /api/programmes', {}, wrong);
		expect(answer.status).toBe(422);
		const { problems } = (await answer.json()) as { problems: { path: string }[] };
		expect(problems.map(({ path }) => path)).toEqual([
			'/crops/0',
			'/rates/0/methods/0',
			'/products/0/take',
			'/nitrogen/0/product',
			'/nitrogen/0/placement'
		]);
		const twice = await world.call('POST /api/programmes', {}, { ...PROGRAMME_EXAMPLE, name: 'Soybean' });
		expect(twice.status).toBe(409);
	});
});

describe('the next year of many fields', () => {
	const next: Work = { kind: 'crop', goal: { by: 'best' } };
	it('has crops by the rotation, goals by the harvests, and what the year before gives it', async () => {
		setNextCrop(world.book, yearOf('Kingfisher Bend'), { next_crop: 'soybean', next_yield_goal: 52 });
		await world.call(
			'POST /api/fields/{field}/{year}/choices',
			{ field: idOf('Kingfisher Bend'), year: '2027' },
			{
				choices: [{ nutrient: 'K2O', method: 'crop-removal/potassium', bothYears: true }]
			}
		);
		const { run, rows } = await preview(next, 'all', 2028);
		expect(rowOf(rows, 'Kingfisher Bend').changes).toEqual([
			'Soybean 52 bu/ac (as named in 2027)',
			'after corn',
			'K2O none: the rate of 2027 is for both years'
		]);
		// Corn came after soybean in 2024 and 2026; 186 and 176 bu were harvested.
		expect(rowOf(rows, 'Brick Kiln').changes).toEqual([
			'Corn 181 bu/ac (mean of the last 2 harvests)',
			'after soybean'
		]);
		// Of a perennial a sample holds good for a year.
		expect(rowOf(rows, 'Lagoon Two').notes).toEqual([
			'manure of earlier years still gives 12.8 kg/ha N',
			'a sample is due: the last is of 15 Jun 2026'
		]);
		expect(rowOf(rows, 'Old Orchard Piece').notes).toEqual(['a sample is due: the last is of 18 Oct 2021']);
		await save(run);
		const row = yearOf('Kingfisher Bend', 2028);
		expect(row).toMatchObject({ crop: 'soybean', yield_goal: 52, previous_crop: 'corn-grain' });
		expect(listChoices(world.book, row.id)).toEqual([
			{ nutrient: 'K2O', ownRate: 0, reason: 'the rate of 2027 is for both years' }
		]);
		const legume = ratesPage(desk(), { field: idOf('Brick Kiln'), year: '2028' });
		expect(JSON.stringify(legume.rows.find(({ nutrient }) => nutrient === 'N'))).toMatch(
			/credit.*soybean|soybean.*credit/i
		);
		expect(yearOf('Pippin Block', 2028).previous_crop).toBe('other');
	});
	it('comes after the second crop of the year before, and has its own P and K after what was for the two', async () => {
		const address = { field: idOf('Long Meadow'), year: '2027' };
		await world.call('POST /api/fields/{field}/{year}/choices', address, {
			choices: [{ nutrient: 'K2O', method: 'crop-removal/potassium', bothYears: true }]
		});
		const work: Work = { kind: 'crop', crop: 'corn-grain', goal: { by: 'amount', amount: 160 } };
		const { run, rows } = await preview(work, ['Long Meadow'], 2028);
		expect(rowOf(rows, 'Long Meadow').changes).toEqual(['Corn 160 bu/ac', 'after soybean']);
		await save(run);
		expect(yearOf('Long Meadow', 2028).previous_crop).toBe('soybean');
	});
	it('does not lime again what was limed after the newest sample', async () => {
		const year = yearOf('Crow Acre');
		const lime = passesOf('Crow Acre').find(({ plan }) => plan.unit === 'short ton/ac')!;
		expect((await preview(next, ['Crow Acre'], 2028)).rows[0]!.changes.join()).not.toMatch(/lime/);
		markDone(world.book, year, lime.plan, '2026-12-04');
		const { rows } = await preview(next, ['Crow Acre'], 2028);
		expect(rows[0]!.changes.at(-1)).toMatch(
			/^lime none: .* went on on 4 Dec 2026, after the sample of 12 Oct 2026, and still acts: sample before liming again$/
		);
	});
	it('says what a field lacks, and takes the goal typed for those without a harvest', async () => {
		const all = await preview({ kind: 'crop', goal: { by: 'mean' } }, 'all', 2030);
		expect(rowOf(all.rows, 'Heronry').cannot).toBe('no crop of 2029 is in the book: choose one here');
		const oats: Work = { kind: 'crop', crop: 'oats', goal: { by: 'mean' } };
		expect((await preview(oats, ['Heronry'])).rows[0]!.cannot).toBe(
			'no harvest of oats is in the book: type a goal for such fields'
		);
		const { rows } = await preview({ ...oats, otherwise: 80 }, ['Heronry']);
		expect(rows[0]).toMatchObject({
			changes: ['Oats 80 bu/ac (no harvest of it is in the book)', 'after soybean'],
			notes: ['Corn was planned: look at its rates and passes again']
		});
		const wild = await preview({ kind: 'crop', crop: 'oats', goal: { by: 'amount', amount: 9000 } }, ['Heronry']);
		expect(wild.rows[0]!.cannot).toMatch(/^9000 bu\/ac is no goal for oats: it must be /);
	});
	it('leaves a perennial where it stands, described as a block or not, and types no goal in several units', async () => {
		const almond = { crop: 'almond', yieldGoal: 2400 };
		await world.call('PUT /api/fields/{field}/{year}/goal', { field: idOf('Heronry'), year: '2027' }, almond);
		const rotation: Work = { kind: 'crop', goal: { by: 'mean' }, otherwise: 170 };
		const { rows } = await preview(rotation, ['Heronry'], 2028);
		expect(rows[0]!.changes[0]).toBe('Almond 2400 lb/ac (the goal of 2027: no harvest of it is in the book)');
	});
	it('goes by a pasted list, whole or not at all', async () => {
		const text = 'Field, crop, goal\nHeronry, soybean, 40\nQuillet Bros: Brick Kiln, oats, 90';
		const { run, rows } = await preview({ kind: 'crop list', text }, ['Heronry', 'Brick Kiln', 'Mill Strip'], 2028);
		expect(rowOf(rows, 'Heronry').changes).toEqual(['Soybean 40 bu/ac', 'after corn']);
		expect(rowOf(rows, 'Mill Strip').cannot).toBe('not in the list');
		await save(run);
		expect(yearOf('Brick Kiln', 2028)).toMatchObject({ crop: 'oats', yield_goal: 90 });
		await expect(preview({ kind: 'crop list', text: 'Nowhere, soybean, 40' }, ['Heronry'])).rejects.toThrow(
			'line 1 "Nowhere" is none of the chosen fields'
		);
	});
});

describe('passes of many fields', () => {
	it('move by days with their trip, take another product, and round', async () => {
		const before = passesOf('Heronry').map(({ plan }) => plan);
		await save((await preview({ kind: 'days', days: 7 }, ['Heronry', 'Mill Strip'])).run);
		const days = (passes: readonly { date: string }[]) => passes.map(({ date }) => Date.parse(date));
		expect(days(passesOf('Heronry').map(({ plan }) => plan))).toEqual(days(before).map((day) => day + 7 * 86_400_000));
		const swap = await preview({ kind: 'product', from: before[0]!.product, to: 'potassium-sulfate' }, ['Heronry']);
		expect(swap.rows[0]!.cannot ?? swap.rows[0]!.changes[0]).toMatch(/potash|sulfate/i);
		const { run, rows } = await preview({ kind: 'rounding', rounding: { lb: 25 } }, ['Heronry']);
		expect(rows[0]!.changes[0]).toMatch(/lb\/ac .*, now \d+ lb\/ac/);
		await save(run);
		for (const { plan } of passesOf('Heronry')) {
			if (plan.unit === 'lb/ac' && plan.rate >= 25) expect(plan.rate % 25).toBe(0);
		}
	});
	it('stay where they would leave their season, or where there is none', async () => {
		for (let time = 0; time < 6; time++) {
			const { run, rows } = await preview({ kind: 'days', days: 120 }, ['Heronry']);
			if (rows[0]!.cannot) return expect(rows[0]!.cannot).toMatch(/: its day must lie in the season, /);
			await save(run);
		}
		throw new Error('passes left their season');
	});
	it('are proposed for chosen rates, and only there', async () => {
		const { rows } = await preview({ kind: 'proposal' }, ['Mill Strip', 'Kingfisher Bend']);
		expect(rowOf(rows, 'Mill Strip').cannot).toBe('no rate is chosen yet');
		expect(rowOf(rows, 'Kingfisher Bend').changes[0]).toMatch(/^\d+ passes/);
	});
});

describe('a run', () => {
	it('is not saved once the book was changed, nor when it was cancelled, nor twice', async () => {
		const first = await preview({ kind: 'days', days: 1 }, ['Heronry']);
		const second = await preview({ kind: 'days', days: 2 }, ['Heronry']);
		expect((await save(first.run)).status).toBe(200);
		for (const { run, why } of [
			{ run: first.run, why: 'This was saved already.' },
			{ run: second.run, why: /^The book was changed after this was worked out/ }
		]) {
			const answer = await save(run);
			expect(answer.status).toBe(409);
			expect(((await answer.json()) as { message: string }).message).toMatch(why);
		}
		const third = await preview({ kind: 'days', days: 2 }, ['Heronry']);
		expect((await world.call('POST /api/work/{run}/cancel', { run: third.run }, {})).status).toBe(200);
		expect((await save(third.run)).status).toBe(409);
		expect((await world.call('GET /api/work/{run}', { run: 'nothing' })).status).toBe(404);
	});
	it('leaves off in the middle when it is cancelled', async () => {
		const fields = listFields(world.book).map(({ id }) => id);
		const answer = await world.call('POST /api/work', {}, { year: 2027, fields, work: { kind: 'programme' } });
		const { id: run } = (await answer.json()) as { id: string };
		await world.call('POST /api/work/{run}/cancel', { run }, {});
		expect(await settled(run)).toMatchObject({ state: 'cancelled', rows: [] });
	});
	it('over 400 fields, 30 of them without a sample, changes those that can, and one undo takes it back', async () => {
		const demo = JSON.parse(district) as BookDocument;
		const model = demo.growers.flatMap(({ fields }) => fields).find(({ name }) => name === 'Old Orchard Piece')!;
		const fields = Array.from({ length: 400 }, (_, at) => ({
			...model,
			bags: [],
			name: `Field ${at + 1}`,
			samples: at % 13 === 0 && at < 390 ? [] : model.samples
		}));
		const book = openBook(':memory:');
		fillBook(book, { prices: demo.prices, houseProgrammes: demo.houseProgrammes, growers: [{ name: 'All', fields }] });
		const all = new Desk(book, libraryOf(book, theLibrary()), TODAY);
		const action = { year: 2027, fields: listFields(book).map(({ id }) => id), work: { kind: 'programme' as const } };
		const run = beginWork(all, action);
		while (findWork(run)!.state === 'working') await new Promise((resolve) => setImmediate(resolve));
		const { rows } = findWork(run)!;
		expect(rows.filter(({ cannot }) => cannot === 'no soil sample yet')).toHaveLength(30);
		expect(saveWork(run)).toBe(370);
		undo(book, undoable(book)!.id);
		expect(book.prepare('SELECT count(*) AS n FROM choice').get()).toEqual({ n: 0 });
	});
});
