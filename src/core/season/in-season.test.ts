import { describe, expect, it } from 'vitest';
import { figure, notApplicable } from '../figure/figure';
import type { PlacedParameters } from '../rates/nitrogen/placed-factor';
import type { Pass } from '../schema-types';
import { library } from '../testing.test-help';
import { nitrogenProgramme, type BookedPass } from './propose/nitrogen-programme';
import { isStabilised, nitrogenRoom, type NitrogenRoom } from './plan/pass/pass-ceiling';
import { passNutrient } from './plan/pass/pass-nutrients';
import { usualUptake } from './model/growth/uptake';
import { planContext } from './plan/plan-context.test-help';
import { placedSchedule } from './propose/placed-schedule';
import { productOf } from './plan/plan-context';
import { programmeAfter } from './propose/programme-after';
import { proposeProgramme } from './propose/propose-programme';
import { debtCost, seasonDebt } from './plan/season-debt';

const { products } = library;
const answer = (label: string, value: number) => figure({ label, value, unit: 'lb/ac', basis: 'practice' });

const context = (change: Parameters<typeof planContext>[0] = {}) =>
	planContext({ chosen: { N: 160 }, holdingRoom: answer('room', 100), ...change });
const uan = (date: string, nitrogen: number, change: Partial<Pass> = {}): Pass => ({
	id: `uan ${date}`,
	date,
	label: `UAN ${date}`,
	product: 'uan-28',
	rate: nitrogen / 0.28,
	unit: 'lb/ac',
	placement: 'row-base stream',
	reason: '',
	...change
});
const nitrogenOf = (pass: Pass) => passNutrient(pass, productOf(pass, products), 'N');
const planned = (plan: Pass): BookedPass => ({ plan, doneOn: null });

describe('the room for a pass', () => {
	const room = (change: Parameters<typeof planContext>[0], ...[date, stabilised, passes]: Parameters<NitrogenRoom>) =>
		nitrogenRoom(context(change))(date, stabilised, passes);
	const takenBy = usualUptake(context())!;

	it('grows in season by the uptake of the next 14 days, a quarter of the limit at the most', () => {
		expect(room({}, '2027-04-20')).toMatchObject({ value: 100 });
		const early = room({}, '2027-05-20');
		expect(early.applies && early.value).toBeGreaterThan(100);
		expect(early.applies && early.value).toBeLessThan(125);
		// The soil's 60 lb, less what the crop has of them, and a quarter of the limit more.
		expect(room({}, '2027-06-25')).toMatchObject({ value: expect.closeTo(140 + takenBy('2027-06-25'), 9) as number });
		expect(JSON.stringify(room({}, '2027-06-25'))).toContain('uptake of the next 14 days');
	});

	it('is larger for coated or inhibited products from spring on, and never larger in autumn', () => {
		const coated = products.find(({ slowRelease }) => slowRelease)!;
		const urea = products.find(({ id }) => id === 'urea')!;
		expect(isStabilised({}, coated)).toBe(true);
		expect(isStabilised({ additive: 'nitrification inhibitor' }, urea)).toBe(true);
		expect(isStabilised({ additive: 'urease inhibitor' }, urea)).toBe(false);
		expect(room({}, '2027-06-25', true)).toMatchObject({
			value: expect.closeTo(156 + takenBy('2027-06-25'), 9) as number
		});
		expect(room({}, '2027-04-10', true)).toMatchObject({ value: 116 });
		expect(room({}, '2027-10-20', true)).toMatchObject({ value: 100 });
		expect(room({}, '2026-11-20', true)).toMatchObject({ value: 100 });
	});

	it('is less by what earlier passes left there, until the crop has taken it', () => {
		const passes = [uan('2027-04-10', 70), uan('2027-04-12', 20)];
		expect(room({}, '2027-04-12', false, passes)).toMatchObject({ value: expect.closeTo(30, 9) as number });
		expect(room({}, '2027-04-20', false, passes)).toMatchObject({ value: expect.closeTo(10, 9) as number });
		expect(room({}, '2027-04-10', false, passes)).toMatchObject({ value: 100 });
		const there = 60 + 90 - takenBy('2027-07-20');
		expect(room({}, '2027-07-20', false, passes)).toMatchObject({ value: expect.closeTo(200 - there, 9) as number });
	});

	it('is the whole limit where no mineral N is subtracted, whatever the limit is made of', () => {
		const fact = (label: string, value: number) => figure({ label, value, unit: 'lb/ac', basis: 'practice' });
		const limit = figure({
			label: 'holding limit',
			value: 120,
			unit: 'lb/ac',
			inputs: [fact('CEC', 12), fact('a factor', 10)],
			basis: 'practice'
		});
		expect(room({ holdingLimit: limit, holdingRoom: limit }, '2027-04-20')).toMatchObject({ value: 120 });
	});

	it('is the whole limit where the ground was not sampled, and unknown without a limit', () => {
		const unsampled = notApplicable('room', 'the report gives no nitrate-N', 'Take a nitrate sample.');
		expect(room({ holdingRoom: unsampled }, '2027-04-20')).toMatchObject({ value: 160 });
		expect(room({ holdingRoom: unsampled, holdingLimit: unsampled }, '2027-06-20')).toMatchObject({ applies: false });
	});
});

describe('after a test in the crop', () => {
	const starter = uan('2027-05-01', 37, { placement: '2x2 band' });
	const sideDress = uan('2027-06-08', 123);
	const potash: Pass = { ...uan('2027-06-20', 0), product: 'potash', rate: 100, placement: 'broadcast' };

	it('the nitrogen that is left goes on after it; what was applied, lies before it or carries none stands', () => {
		const passes = [{ plan: starter, doneOn: '2027-05-02' }, planned(sideDress), planned(potash)];
		const after = programmeAfter(context({ chosen: { N: 125 } }), passes, '2027-06-04', 'By the test.');
		expect(after.removed).toEqual([sideDress.id]);
		expect(after.added.reduce((sum, pass) => sum + nitrogenOf(pass), 0)).toBeCloseTo(88, 6);
		for (const pass of after.added) {
			expect(pass.date >= '2027-06-04').toBe(true);
			expect(pass.reason).toMatch(/^By the test\. /);
		}
	});

	it('a pass dated before it but not booked counts as applied', () => {
		const after = programmeAfter(
			context({ chosen: { N: 125 } }),
			[planned(starter), planned(sideDress)],
			'2027-06-04',
			''
		);
		expect(after.added.reduce((sum, pass) => sum + nitrogenOf(pass), 0)).toBeCloseTo(88, 6);
	});

	it('with enough in the ground nothing more goes on', () => {
		const after = programmeAfter(
			context({ chosen: { N: 37 } }),
			[planned(starter), planned(sideDress)],
			'2027-06-04',
			''
		);
		expect(after).toMatchObject({ removed: [sideDress.id], added: [] });
	});

	it('late, the last pass that was missed goes on the day of the test', () => {
		const after = programmeAfter(context({ chosen: { N: 97 } }), [planned(starter)], '2027-07-20', '');
		expect(after.added.map(({ date }) => date)).toEqual(['2027-07-20']);
	});

	it('a tiller count sets its own dressing, and the rest stays with the main one', () => {
		const wheat = context({
			cropId: 'winter-wheat',
			chosen: { N: 120 },
			tilleringN: 45,
			holdingRoom: answer('room', 140)
		});
		const { passes } = proposeProgramme(wheat);
		const byStep = new Map(passes.map((pass) => [pass.id, nitrogenOf(pass)]));
		expect(byStep.get('first')).toBeCloseTo(45, 6);
		expect(byStep.get('main')).toBeCloseTo(75, 6);
		const none = proposeProgramme({ ...wheat, tilleringN: 0 }).passes;
		expect(none.map(({ id }) => id)).not.toContain('first');
		expect(none.reduce((sum, pass) => sum + nitrogenOf(pass), 0)).toBeCloseTo(120, 6);
	});
});

describe('a banded, timed programme', () => {
	const p = library.packs.rules
		.find(({ method }) => method === 'placed-nitrogen/corn')!
		.parametersFor('corn-grain') as PlacedParameters;

	it('is 40 lb beside the row and 60 at its base for 200 bu (common practice)', () => {
		const schedule = placedSchedule(context().schedule!, p)!;
		const { passes } = proposeProgramme(context({ schedule, chosen: { N: 100 } }));
		expect(passes.map((pass) => [pass.placement, +nitrogenOf(pass).toFixed(6)])).toEqual([
			['2x2 band', 40],
			['row-base stream', 60]
		]);
	});

	it('is not to be had where the schedule has no such passes', () => {
		expect(
			placedSchedule(
				library.schedules.find(({ crop }) => crop === 'winter-wheat')!,
				p
			)
		).toBeUndefined();
	});
});

it('the nitrogen passes of a plan carry day, place, pounds and acid', () => {
	const programme = nitrogenProgramme(
		[
			{ plan: uan('2027-06-08', 56), doneOn: '2027-06-10' },
			planned({ ...uan('2027-05-01', 0), product: 'potash', rate: 100 })
		],
		products,
		'2027-05-01'
	);
	expect(programme).toEqual([
		{
			label: 'UAN 2027-06-08',
			nitrogen: expect.closeTo(56, 9),
			placement: 'row-base stream',
			date: '2027-06-10',
			daysFromPlanting: 40,
			applied: true,
			caco3: expect.closeTo(100.8, 9)
		}
	]);
});

it('the lime to offset acidity of a season adds up, is priced, and names what is not known', () => {
	const sulfate = { ...uan('2027-05-01', 0), product: 'ammonium-sulfate', rate: 100 };
	const debt = seasonDebt([uan('2027-06-08', 100), sulfate], context());
	expect(debt).toMatchObject({ value: expect.closeTo(100 * 1.8 + 21 * 5.4, 9) });
	const price = figure({ label: 'price', value: 40, unit: '$ per effective short ton', basis: 'adviser' });
	expect(debtCost(debt, price)).toMatchObject({ value: expect.closeTo(((180 + 113.4) / 2000) * 40, 9), unit: '$/ac' });
	expect(debtCost(debt, notApplicable('price', 'no price', 'Enter it.'))).toMatchObject({ applies: false });
	const unknown = seasonDebt([{ ...uan('2027-05-01', 0), product: 'app-10-34-0', rate: 100 }], context());
	expect(unknown).toMatchObject({ applies: false, reason: 'the acid of these products is not known' });
});

describe('a dressing by a tiller count', () => {
	const wheat = (change: Parameters<typeof planContext>[0]) =>
		planContext({ cropId: 'winter-wheat', yieldGoal: 80, chosen: { N: 100 }, tilleringN: 45, ...change });
	it('goes within days of the count, not by the calendar', () => {
		const { passes } = proposeProgramme(wheat({ tillersCountedOn: '2027-02-02' }));
		expect(passes[0]).toMatchObject({ id: 'first', date: '2027-02-05' });
		expect(nitrogenOf(passes[0]!)).toBeCloseTo(45, 6);
		expect(proposeProgramme(wheat({ tillersCountedOn: undefined })).passes[0]).toMatchObject({ date: '2027-03-04' });
	});
	it('that finds no pass any more is told, not dropped', () => {
		const applied = [uan('2027-04-01', 55)];
		const { notes } = proposeProgramme(wheat({ tillersCountedOn: '2027-02-02', applied }));
		expect(notes.join()).toContain('The 45 lb N/ac of the tiller count found no pass');
	});
});
