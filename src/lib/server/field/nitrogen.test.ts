import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import { passNutrient } from '../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../core/season/plan/plan-context';
import { library } from '../../../core/testing.test-help';
import { afterTest } from './season/after-test';
import { undo, undoable } from '../book/act';
import { ActionError } from '../book/action-error';
import { fillBook } from '../book/fill-book';
import { openBook } from '../book/open-book';
import { loadFieldYear, type FieldYear } from './field-year';
import { placedProgramme } from './season/placed-programme';
import { bookCropTest, listCropTests, removeCropTest, type CropTestKind } from '../stores/tests/crop-tests';
import { listEvents } from '../stores/events';
import { listFields } from '../stores/fields';
import {
	changePasses,
	changeSeason,
	choose,
	listPasses,
	markDone,
	setGoal,
	setNitrogenTerms
} from '../stores/field-years';
import { priceBefore } from '../stores/prices';
import { addCurve, listCurves, removeCurve } from '../stores/response-curves';

const TODAY = '2027-06-10';
const CORN = 'Kingfisher Bend';
const WHEAT = 'Long Meadow';
const district = readFileSync('demo/district.json', 'utf8');
let db: Database;

beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
});
const load = (name: string, year = 2027, today = TODAY): FieldYear => {
	const { id } = listFields(db).find((field) => field.name === name)!;
	return loadFieldYear(db, library, id, year, today);
};
const nitrogenOf = (name: string) =>
	listPasses(db, load(name).goal!.id).map(({ plan }) => [
		plan.id,
		+passNutrient(plan, productOf(plan, library.products), 'N').toFixed(3)
	]);

/** Books a test and takes it into the season, as the page does. */
function take(name: string, kind: CropTestKind, found: object): string {
	const before = load(name);
	bookCropTest(db, before.goal!, kind, found);
	const fieldYear = load(name);
	const [test] = listCropTests(db, fieldYear.goal!.id);
	const after = afterTest(db, library, fieldYear, fieldYear.advice!, test!, TODAY, 'us');
	changeSeason(db, fieldYear.goal!, after.why, after.choices, after.change.removed, after.change.added);
	return after.why;
}

describe('a nitrate test in the crop', () => {
	const test = { date: '2027-06-04', nitratePpm: 14, depthIn: 12, cropHeightIn: 9 };

	beforeEach(() => {
		const { goal } = load(CORN);
		const pass = { product: 'uan-28', unit: 'lb/ac' as const, reason: '' };
		changePasses(
			db,
			goal!,
			'Planned',
			[],
			[
				{ ...pass, id: 'a', date: '2027-05-01', label: 'Starter', rate: 40 / 0.28, placement: '2x2 band' },
				{ ...pass, id: 'b', date: '2027-06-08', label: 'Side-dress', rate: 120 / 0.28, placement: 'row-base stream' }
			]
		);
		markDone(db, goal!, listPasses(db, goal!.id)[0]!.plan, '2027-05-01');
	});

	it('changes the rate and the passes that are left, in one action that says why', () => {
		const why = take(CORN, 'nitrate', test);
		expect(why).toBe(
			'Nitrogen 88 lb/ac from now on by the nitrate test of 4 Jun 2027 (14 ppm), 128 lb/ac with what was applied, was 160.6 lb/ac for the season'
		);
		const { advice, field } = load(CORN);
		expect(advice?.chosen.find(({ nutrient }) => nutrient === 'N')?.rate.value).toBeCloseTo(128, 9);
		expect(advice?.request.nitrogenRate).toBeCloseTo(128, 9);
		expect(nitrogenOf(CORN).map(([, pounds]) => pounds)).toEqual([40, 88]);
		expect(listEvents(db, field.id, 1)[0]?.label).toBe(why);
		expect(advice?.passes[1]?.plan.reason).toContain('by the nitrate test of 4 Jun 2027');
	});

	it('is undone whole', () => {
		take(CORN, 'nitrate', test);
		undo(db, undoable(db)!.id);
		expect(nitrogenOf(CORN).map(([, pounds]) => pounds)).toEqual([40, 120]);
		expect(load(CORN).advice?.request.nitrogenRate).toBeCloseTo(160.6, 9);
	});

	it('that nobody can use is refused with the reason, and nothing changes', () => {
		expect(() => take(CORN, 'nitrate', { ...test, freshBand: true })).toThrow('a fresh fertilizer band lies in');
		expect(nitrogenOf(CORN).map(([, pounds]) => pounds)).toEqual([40, 120]);
	});

	it('of a later day takes the place of the one before, and taken back gives it its place again', () => {
		const { goal } = load(CORN);
		bookCropTest(db, goal!, 'nitrate', test);
		bookCropTest(db, goal!, 'nitrate', { ...test, date: '2027-06-09', nitratePpm: 20 });
		expect(load(CORN).advice?.tests.nitrate?.nitratePpm).toBe(20);
		const older = listCropTests(db, goal!.id)[1]!;
		const fieldYear = load(CORN);
		expect(() => afterTest(db, library, fieldYear, fieldYear.advice!, older, TODAY, 'us')).toThrow(
			'A newer test of 9 Jun 2027 is in use'
		);
		removeCropTest(db, goal!, listCropTests(db, goal!.id)[0]!);
		expect(load(CORN).advice?.tests.nitrate?.nitratePpm).toBe(14);
	});
});

it('a tiller count of 96 per ft2 leaves the tillering application out and says so', () => {
	const why = take(WHEAT, 'tillers', { date: '2027-02-03', counts: [48], rowSpacingIn: 6 });
	expect(why).toBe('Tillering nitrogen none by the count of 3 Feb 2027 (96 per ft2)');
	const spring = load(WHEAT).advice!.passes.filter(
		({ plan }) => plan.date > '2027-02-03' && plan.product !== 'ammonium-sulfate'
	);
	expect(spring.map(({ plan }) => plan.label)).toEqual(['Top-dress at stem elongation']);
});

it('strips settle the nitrogen of the season', () => {
	const zones = [{ name: 'All', yieldWithout: 60, yieldRich: 80 }];
	const why = take(WHEAT, 'strips', { date: '2027-04-01', zones });
	expect(why).toContain('Nitrogen 47.8 lb/ac from now on by the strips of 1 Apr 2027');
	expect(load(WHEAT).advice?.choices[0]).toMatchObject({ nutrient: 'N', method: 'in-season-nitrogen/strips' });
});

describe('a banded, timed programme', () => {
	it('cannot be planned where the soil nitrate is not known', () => {
		expect(() => placedProgramme(load(CORN).advice!, library, 'placed-nitrogen/corn')).toThrow(ActionError);
	});
	it('makes its factor apply', () => {
		// In June the starter's day is past.
		expect(() => placedProgramme(load('Crow Acre').advice!, library, 'placed-nitrogen/corn')).toThrow('starter');
		const { advice } = load('Crow Acre', 2027, '2027-02-10');
		const { choice, passes } = placedProgramme(advice!, library, 'placed-nitrogen/corn');
		const open = advice!.passes.map(({ plan }) => plan.id);
		changeSeason(db, advice!.goal, 'Planned', [choice], open, passes);
		const after = load('Crow Acre').advice!;
		expect(after.lapsed).toEqual([]);
		expect(after.request.nitrogenRate).toBeCloseTo(0.5 * advice!.goal.yield_goal, 9);
	});
	it('is of corn only', () => {
		expect(() => placedProgramme(load(WHEAT).advice!, library, 'placed-nitrogen/corn')).toThrow('names no programme');
	});
});

describe('terms and objective', () => {
	it('go with the choice in one action', () => {
		const { goal } = load(CORN);
		const method = 'own-curves/corn-after-soybean';
		choose(db, goal!, [{ nutrient: 'N', method }], 'Chose', { objective: 'most-yield' });
		expect(load(CORN).advice?.request.nitrogenRate).toBeCloseTo(181.12, 2);
		undo(db, undoable(db)!.id);
		expect(load(CORN).advice?.request.nitrogen).toBeUndefined();
		expect(load(CORN).advice?.request.nitrogenRate).toBeCloseTo(160.6, 9);
	});
	it('maximum yield stands without prices; the two that weigh money say that they need them', () => {
		db.exec('DELETE FROM price');
		const { rates } = load(CORN).advice!.answer;
		const { objectives, response } = rates.find(({ method }) => method === 'own-curves/corn-after-soybean')!;
		expect(response).toBeDefined();
		expect(objectives!.mostYield).toMatchObject({ applies: true, value: expect.closeTo(181.12, 2) as number });
		for (const money of [objectives!.mostProfit, objectives!.leastLeft]) {
			expect(money).toMatchObject({ applies: false, reason: expect.stringContaining('price') as string });
		}
	});
	it('credits count where the guide allows them', () => {
		setNitrogenTerms(db, load(CORN).goal!, { manureN: 25 });
		expect(load(CORN).advice?.request.nitrogenRate).toBeCloseTo(135.6, 9);
	});
});

describe('the library of curves', () => {
	it('speaks on fields of its crop and rotation alone', () => {
		const methods = (name: string) =>
			load(name)
				.advice!.answer.rates.filter(({ school }) => school === 'economic-optimum')
				.map(({ method }) => method);
		expect(methods(CORN)).toEqual(['own-curves/corn-after-soybean']);
		expect(methods('Crow Acre')).toEqual(['own-curves/corn-after-corn']);
		expect(methods('Chalk Rise')).toEqual([]);
	});
	it('takes a curve in once, and lets it go; a choice that stood on it lapses', () => {
		const [, curve] = listCurves(db);
		expect(() => addCurve(db, curve!)).toThrow('already a curve called “Corn after soybean”');
		choose(db, load(CORN).goal!, [{ nutrient: 'N', method: `own-curves/${curve!.id}` }], 'Chose');
		removeCurve(db, curve!);
		expect(load(CORN).advice?.lapsed).toHaveLength(1);
		addCurve(db, curve!);
		expect(load(CORN).advice?.lapsed).toEqual([]);
	});
});

it('the price before the one in force is known with its day', () => {
	expect(priceBefore(db, 'grain:corn-grain', TODAY)).toEqual({ amount: 4.15, since: '2026-01-10' });
	expect(priceBefore(db, 'grain:corn-grain', '2026-05-01')).toBeUndefined();
});

it('a change of crop leaves tests of the other crop without a rate, not in error', () => {
	take(WHEAT, 'tillers', { date: '2027-02-03', counts: [48], rowSpacingIn: 6 });
	const { field } = load(WHEAT);
	const goal = {
		crop: 'soybean' as const,
		yield_goal: 50,
		previous_crop: null,
		planting_date: null,
		row_spacing_in: null,
		target_ph: null
	};
	setGoal(db, field.id, 2027, goal);
	expect(load(WHEAT).advice?.context.tilleringN).toBeUndefined();
});
