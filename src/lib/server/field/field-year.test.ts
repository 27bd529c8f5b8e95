import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import { proposeProgramme } from '../../../core/season/propose/propose-programme';
import { library } from '../../../core/testing.test-help';
import { openBook } from '../book/open-book';
import { fillBook } from '../book/fill-book';
import { draftSheet } from './draft-sheet';
import { loadFieldYear, type FieldYear } from './field-year';
import { sheetCalendar } from '../files/print/sheet-calendar';
import { sheetPdf } from '../files/print/sheet-pdf';
import { sheetDocument } from '../files/print/sheet-document';
import { addField, findFields, listFields } from '../stores/fields';
import { changePasses, choose, listPasses, markDone, setGoal, unchoose } from '../stores/field-years';
import { setPrices } from '../stores/prices';
import { listDue, listRoster } from '../stores/roster';
import { findSheet, issueSheet, listSheets } from '../stores/sheets';
import { workLine } from '../pages/work-line';

const TODAY = '2026-11-23';
const district = readFileSync('demo/district.json', 'utf8');
let db: Database;

beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
});
const idOf = (name: string) => listFields(db).find((field) => field.name === name)!.id;
const load = (name: string, year = 2027): FieldYear => loadFieldYear(db, library, idOf(name), year, TODAY);

describe('a field-year', () => {
	it('derives rates from the newest sample and the goal', () => {
		const { sample, advice } = load('Kingfisher Bend');
		expect(sample?.labNumber).toBe('4411');
		expect(advice?.chosen.map(({ nutrient, rate }) => [nutrient, +rate.value.toFixed(6)])).toEqual([
			['N', 160.6],
			['P2O5', 84.2],
			['K2O', 63.2],
			['lime', 4.718185]
		]);
	});

	it('has no advice without a goal or a sample, and is a 404 without a field', () => {
		expect(load('Kingfisher Bend', 2031).advice).toBeUndefined();
		const id = addField(db, { name: 'Bare', grower: 'Tarrow & Daughters', areaAcres: undefined });
		expect(loadFieldYear(db, library, id, 2027, TODAY)).toMatchObject({ sample: undefined, advice: undefined });
		expect(() => loadFieldYear(db, library, 'none', 2027, TODAY)).toThrow();
	});

	it('keeps a choice that lapsed apart from those that hold', () => {
		const { advice } = load('Mill Strip');
		choose(db, advice!.goal, [{ nutrient: 'K2O', method: 'tri-state-1995/potassium' }], 'Chose');
		const after = load('Mill Strip').advice!;
		expect(after.chosen).toEqual([]);
		expect(after.lapsed).toEqual([{ nutrient: 'K2O', method: 'tri-state-1995/potassium' }]);
		unchoose(db, after.goal, 'K2O');
		expect(load('Mill Strip').advice!.lapsed).toEqual([]);
	});

	it('prices by the list of the day', () => {
		const cost = () => load('Heronry').advice!.cost;
		const before = cost();
		setPrices(db, TODAY, new Map([['product:uan-28', 730]]));
		const after = cost();
		// 437.3 lb of UAN-28 at $365 a ton more
		expect(after.applies && before.applies && after.value - before.value).toBeCloseTo((437.3 / 2000) * 365, 1);
	});

	it('says on the work line where it stands', () => {
		expect(workLine(load('Kingfisher Bend'), [], 'us')).toMatchObject({
			ground: '62 ac, silt loam, 4 samples',
			reading: 'pH 5.6, CEC 16',
			rates: 'N 161 P 84 K 63 lime 4.7 ton',
			season: 'no passes',
			sheet: 'draft'
		});
		expect(workLine(load('Kingfisher Bend'), [], 'metric').rates).toBe('N 180 P 94 K 71 lime 10.6 t');
		const supply = workLine(load('Crow Acre'), [], 'us').supply!;
		const perHectare = Number(supply.slice(1, -3)) / 0.40468564224;
		expect(supply).toMatch(/^\$[\d.]+\/ac$/);
		expect(workLine(load('Crow Acre'), [], 'metric').supply).toMatch(/^\$[\d.,]+\/ha$/);
		expect(Number(workLine(load('Crow Acre'), [], 'metric').supply!.slice(1, -3))).toBeCloseTo(perHectare, 1);
		expect(workLine(load('Crow Acre'), [], 'us').season).toBe('6 passes, 1 caution');
		expect(workLine(load('Kingfisher Bend', 2026), [], 'us').book).toBe('harvested 52 bu/ac');
		expect(workLine(load('Lagoon One', 2026), [], 'metric').book).toBe('harvested 23 t/ha');
		expect(workLine(load('Kingfisher Bend', 2031), [], 'us').rates).toBe('set a goal');
	});
});

describe('passes', () => {
	it('are replaced, kept or added in one action, each with an id of its own', () => {
		const { goal, context, passes } = load('Heronry').advice!;
		const [first, ...rest] = passes.map(({ plan }) => plan);
		changePasses(db, goal, 'Changed', [first!.id], [{ ...first!, rate: 90 }]);
		expect(listPasses(db, goal.id).find(({ plan }) => plan.id === first!.id)?.plan.rate).toBe(90);
		const proposed = proposeProgramme(context).passes;
		changePasses(db, goal, 'Proposed', [first!.id, ...rest.map(({ id }) => id)], proposed);
		const ids = listPasses(db, goal.id).map(({ plan }) => plan.id);
		expect(proposed.length).toBeGreaterThan(4);
		expect(new Set(ids).size).toBe(proposed.length);
		expect(ids).not.toContain(first!.id);
	});

	it('due within a fortnight stand on the roster until they are applied', () => {
		const due = () => listDue(db, '2026-12-07').map(({ field, label }) => `${field}: ${label}`);
		expect(due()).toEqual(['Crow Acre: Lime, worked in']);
		const { goal, passes } = load('Crow Acre').advice!;
		markDone(db, goal, passes[0]!.plan, '2026-12-04');
		expect(due()).toEqual([]);
	});
});

describe('the roster', () => {
	it('has a row for each field with what comes next', () => {
		const rows = listRoster(db, 2027);
		expect(rows).toHaveLength(21);
		const row = (name: string) => rows.find((one) => one.name === name);
		expect(row('Crow Acre')).toMatchObject({
			crop: 'corn-grain',
			samples: 2,
			choices: 4,
			passes: 6,
			nextPass: '2026-12-04',
			nextLabel: 'Lime, worked in'
		});
		expect(row('Long Meadow')).toMatchObject({ nextPass: '2027-03-05', sampledOn: '2026-09-02' });
		expect(row('Chalk Rise')).toMatchObject({ choices: 0, passes: 0, nextPass: null });
		expect(listRoster(db, 2040)[0]).toMatchObject({ crop: null, choices: 0 });
	});

	it('finds fields by words of their name or grower, and takes signs as signs', () => {
		expect(findFields(db, 'coulee wind', 10).map(({ name }) => name)).toEqual(['Coulee North', 'Coulee South']);
		expect(findFields(db, '%', 10)).toEqual([]);
		expect(findFields(db, '', 5)).toHaveLength(5);
	});
});

describe('an issued sheet', () => {
	const issue = (name: string) => {
		const fieldYear = load(name);
		const content = draftSheet(
			fieldYear,
			fieldYear.advice!,
			{
				units: 'us',
				preparedBy: 'Ada',
				loads: { tankGal: 1000, boxLb: 12_000, batchLb: 12_000, weighLb: 50 }
			},
			new Map(),
			{ leafTests: [], decisions: [] }
		);
		return issueSheet(db, fieldYear.goal!.id, content);
	};

	it('is numbered, kept and frozen', () => {
		const first = issue('Heronry');
		const second = issue('Crow Acre');
		expect([first.number, second.number]).toEqual([1, 2]);
		setGoal(db, idOf('Heronry'), 2027, {
			crop: 'corn-grain',
			yield_goal: 200,
			previous_crop: null,
			planting_date: null,
			row_spacing_in: null,
			target_ph: null
		});
		expect(findSheet(db, first.id)?.content.crop.yieldGoal).toBe(140);
		expect(() => db.prepare("UPDATE sheet SET content = '{}'").run()).toThrow('frozen');
		expect(() => db.prepare('DELETE FROM sheet').run()).toThrow('kept');
		expect(listSheets(db, load('Heronry').goal!.id)).toHaveLength(1);
	});

	it('prints one page of what, how much, when, where and why', () => {
		const document = sheetDocument(issue('Crow Acre'));
		const text = JSON.stringify(document.content);
		for (const words of ['Crow Acre, corn 2027', '4 Dec 2026', 'Agricultural lime', 'UAN-28', 'gal/ac', 'Cautions']) {
			expect(text).toContain(words);
		}
		// The usual stage stands beside the date, and rates are what a machine is set to.
		expect(text).toContain('about V10');
		expect(text).toContain('268 lb/ac');
		const footer = typeof document.footer === 'function' ? document.footer(1, 2, {} as never) : undefined;
		expect(JSON.stringify(footer)).toContain('Prepared by Ada with Tri-state guide 1995 1.2.0');
	});

	it('holds a plan of six passes on one page', async () => {
		const sheet = issue('Crow Acre');
		expect(sheet.content.passes).toHaveLength(6);
		const pdf = Buffer.from(await sheetPdf(sheet)).toString('latin1');
		expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
	});

	it('becomes a calendar whose entries last a day and keep their identity', () => {
		const sheet = issue('Crow Acre');
		const calendar = sheetCalendar(sheet)!;
		expect(calendar).toContain('DTSTART;VALUE=DATE:20261204');
		expect(calendar).toContain('DTEND;VALUE=DATE:20261205');
		expect(sheetCalendar(sheet)).toBe(calendar);
	});
});
