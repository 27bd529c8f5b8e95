// What really happened, recorded through the operation that the pages call: loads, a correction, and all that follows from them.
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { valueIfKnown } from '../../../../core/figure/figure';
import type { Applied, DecisionPlan, Pass } from '../../../../core/schema-types';
import { undo, undoable } from '../../book/act';
import { fillBook } from '../../book/fill-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { bookPage } from '../../pages/book-page';
import { yearsPage } from '../../pages/office/years-page';
import { seasonPage } from '../../pages/season-page';
import { sheetPage } from '../../pages/sheet-page';
import { theLibrary } from '../../knowledge';
import { changePasses, findFieldYear, listPasses } from '../../stores/field-years';
import { listFields } from '../../stores/fields';
import { listOpenPasses } from '../../stores/order-passes';
import { addDecision, takeDecision } from '../../stores/plan/decisions';
import { removeOwnProduct } from '../../stores/own-products';
import { addWeather } from '../../stores/stations';
import { World } from '../../api/api.test-help';

/** 54 acres of winter wheat, with 347.6 lb of UAN-28 planned on 6 April 2027. */
const FIELD = 'Long Meadow';
const TOP_DRESS = 'Top-dress at stem elongation';
const UAN_N = 0.28;

let world: World;
let field: string;
beforeEach(() => {
	world = new World();
	world.today = '2027-10-20';
	fillBook(world.book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	field = listFields(world.book).find(({ name }) => name === FIELD)!.id;
});
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), '2026-11-23');
const address = () => ({ field, year: '2027' });
const goal = () => findFieldYear(world.book, field, 2027)!;
const recorded = (label = TOP_DRESS) => listPasses(world.book, goal().id).find(({ plan }) => plan.label === label)!;
const load = (change: Partial<Applied> = {}): Applied => ({
	appliedOn: '2027-04-05',
	product: 'uan-28',
	rate: 360,
	unit: 'lb/ac',
	acres: 20,
	who: 'Custom applicator',
	...change
});
async function record(applied: Applied | undefined, more: object = {}) {
	const body = { pass: recorded().plan.id, ...(applied ? { applied } : {}), ...more };
	const answer = await world.call('POST /api/fields/{field}/{year}/applications', address(), body);
	return { status: answer.status, said: JSON.stringify(await answer.json()) };
}
const nitrogen = () => seasonPage(desk(), address(), null).season!.totals.find(({ label }) => label === 'N')!;
const parts = () => seasonPage(desk(), address(), null).season!.passes.filter(({ plan }) => plan.label === TOP_DRESS);
const toOrder = () =>
	listOpenPasses(world.book, 2027, theLibrary().products)
		.filter((one) => one.fieldId === field && one.pass.label === TOP_DRESS)
		.map(({ pass }) => [pass.rate, pass.share]);

it('nothing is recorded for a day that is still to come', async () => {
	world.today = '2027-04-04';
	expect((await record(load())).said).toContain('must be no later than today, 2027-04-04; got \\"2027-04-05\\"');
	expect((await record(load({ appliedOn: '2027-04-04' }))).status).toBe(200);
});

it('a pass applied as planned is in the list, at the rate of the plan', async () => {
	const { plan } = recorded();
	const shown = () => bookPage(desk(), address()).applications.filter(({ pass }) => pass === plan.id);
	expect(shown()).toEqual([]);
	const done = { pass: plan.id, doneOn: '2027-04-05' };
	expect((await world.call('PUT /api/fields/{field}/{year}/done', address(), done)).status).toBe(200);
	expect(shown()).toMatchObject([
		{ asPlanned: true, content: { applied: { appliedOn: '2027-04-05', rate: plan.rate, product: plan.product } } }
	]);
});

describe('a pass applied on part of the field, in two loads', () => {
	it('changes sums, order, board and sheet by what went on where, and ends with the field covered', async () => {
		// 8.8 lb of N go with the sulfur and 12.7 with the phosphate; the rest is the top-dress.
		const others = valueIfKnown(nitrogen())! - 347.6 * UAN_N;
		expect((await record(load())).status).toBe(200);
		const share = 20 / 54;
		expect(valueIfKnown(nitrogen())).toBeCloseTo(others + (360 * share + 347.6 * (1 - share)) * UAN_N, 6);
		expect(toOrder()).toEqual([[347.6, 1 - share]]);
		expect(parts().map(({ doneOn, part }) => [doneOn, part])).toEqual([
			['2027-04-05', 'on 20 ac'],
			[null, 'on 34 ac']
		]);
		const sheet = sheetPage(desk(), address()).draft!;
		const rest = sheet.passes.find(({ pass }) => pass.label === `${TOP_DRESS}, on 34 ac`)!;
		// 347.6 lb are set as 348.
		expect(valueIfKnown(rest.wholeField)).toBeCloseTo(348 * 34, 6);
		expect((await record(load({ appliedOn: '2027-04-09', rate: 330, acres: 34 }))).status).toBe(200);
		expect(recorded().doneOn).toBe('2027-04-09');
		expect(toOrder()).toEqual([]);
		expect(valueIfKnown(nitrogen())).toBeCloseTo(others + ((360 * 20 + 330 * 34) / 54) * UAN_N, 6);
		undo(world.book, undoable(world.book, field)!.id);
		expect(recorded()).toMatchObject({ doneOn: null, applications: [{ content: { applied: { acres: 20 } } }] });
	});
	it('is balanced over the years by what was applied, not by the plan', async () => {
		// Of soybean, its second crop, no guide says how much N it takes off.
		await world.call('PUT /api/fields/{field}/{year}/second-crop', address(), { secondCrop: null });
		await world.call('PUT /api/fields/{field}/{year}/harvest', address(), { harvestedYield: 90 });
		const balance = () => {
			const line = yearsPage(desk(), new URLSearchParams('from=2027&to=2027')).lines.find(
				({ fieldId }) => fieldId === field
			)!;
			const page = bookPage(desk(), address()).balance.find(({ year }) => year === 2027)!;
			expect(valueIfKnown(page.nutrients.N.ofYear)).toBeCloseTo(line.balance.N!, 9);
			return line.balance.N!;
		};
		const before = balance();
		await record(load());
		expect(balance() - before).toBeCloseTo(((360 * 20) / 54) * UAN_N, 6);
	});
	it('moves, changes and ends like any pass; proposals leave its rest alone', async () => {
		await record(load());
		const rest = parts()[1]!.plan;
		const move = { removed: [rest.id], added: [{ ...rest, date: '2027-04-12' }], seen: [recorded().plan] };
		const answer = await world.call('POST /api/fields/{field}/{year}/passes', address(), move);
		expect(answer.status).toBe(200);
		expect(recorded().plan).toMatchObject({ date: '2027-04-12', rate: 347.6 });
		expect(recorded().plan).not.toHaveProperty('share');
		await world.call('POST /api/fields/{field}/{year}/programme', address(), {});
		expect(recorded().plan.date).toBe('2027-04-12');
		changePasses(world.book, goal(), 'Removed the rest', [rest.id], []);
		expect(recorded().doneOn).toBe('2027-04-05');
		expect(parts()).toHaveLength(1);
	});
});

describe('a correction', () => {
	it('stands in the place of an entry that stays readable', async () => {
		await record(load());
		const [first] = recorded().applications;
		const because = 'the counter says 25';
		expect((await record(load({ acres: 25 }), { corrects: first!.id, because })).status).toBe(200);
		expect(recorded().applications).toHaveLength(2);
		expect(toOrder()).toEqual([[347.6, 1 - 25 / 54]]);
		const shown = bookPage(desk(), address()).applications.filter(({ label }) => label === TOP_DRESS);
		expect(shown.map(({ ground, corrected }) => [ground, corrected])).toEqual([
			['20 ac', true],
			['25 ac', false]
		]);
		expect((await record(load(), { corrects: first!.id, because })).said).toContain('was corrected already');
		const second = recorded().applications[1]!;
		expect((await record(undefined, { corrects: second.id, because: 'other field' })).status).toBe(200);
		expect(toOrder()).toEqual([[347.6, undefined]]);
		// Nothing was applied of it after all, so it can be removed.
		changePasses(world.book, goal(), 'Removed', [recorded().plan.id], []);
		expect(recorded()).toBeUndefined();
		undo(world.book, undoable(world.book, field)!.id);
		expect(recorded().applications).toHaveLength(3);
	});
	it.each([
		['without a reason', {}, 'why the entry is corrected'],
		['of no entry', { because: 'x', corrects: 'nobody' }, 'has no such entry']
	])('%s is refused', async (_, more, said) => {
		await record(load());
		const before = world.everything();
		const answer = await record(load(), { corrects: recorded().applications[0]!.id, ...more });
		expect([answer.status >= 400, answer.said]).toEqual([true, expect.stringContaining(said)]);
		expect(world.everything()).toBe(before);
	});
});

describe('an entry', () => {
	it('keeps the weather of its day where the field’s station measured it', async () => {
		const day = { date: '2027-04-05', minC: 4, maxC: 15, rainMm: 2.5 };
		addWeather(world.book, 'Own mast', 41, [day]);
		await record(load());
		expect(recorded().applications[0]!.content.weather).toEqual({
			station: 'Own mast',
			minC: 4,
			maxC: 15,
			rainMm: 2.5
		});
		expect(bookPage(desk(), address()).applications[0]!.weather).toBe('39 to 59 F, 0.1 in rain');
	});
	it.each([
		['more ground than the field has', load({ acres: 60 }), 'must be no more than the 54 ac of Long Meadow; got 60'],
		['a day outside the season', load({ appliedOn: '2025-01-01' }), 'must lie in the season'],
		['a product nobody knows', load({ product: 'moon dust' }), 'is not in the catalogue'],
		['gallons of a dry product', load({ product: 'urea', unit: 'gal/ac' }), 'has no density'],
		['nothing at all', undefined, 'must say what was applied']
	])('of %s is refused whole', async (_, applied, said) => {
		const before = world.everything();
		const answer = await record(applied);
		expect([answer.status, answer.said]).toEqual([422, expect.stringContaining(said)]);
		expect(world.everything()).toBe(before);
	});
	it('needs the field’s area for acres, and is for the whole field without them', async () => {
		world.book.prepare('UPDATE field SET area_ac = NULL WHERE id = ?').run(field);
		expect((await record(load())).said).toContain('needs the area of Long Meadow');
		const whole = load();
		delete whole.acres;
		expect((await record(whole)).status).toBe(200);
		expect(recorded().doneOn).toBe('2027-04-05');
	});
	it('and a pass booked as planned exclude each other', async () => {
		const { plan } = recorded();
		const done = (doneOn: string | null) =>
			world.call('PUT /api/fields/{field}/{year}/done', address(), { pass: plan.id, doneOn });
		await done('2027-04-06');
		expect((await record(load())).said).toContain('is recorded as applied as planned on 6 Apr 2027');
		await done(null);
		await record(load());
		expect(await (await done('2027-04-06')).text()).toContain('is recorded load by load');
		expect(recorded().doneOn).toBeNull();
	});
	it('holds on to its product', async () => {
		const own = { ...theLibrary().products.find(({ id }) => id === 'uan-28')!, id: 'own-uan', name: 'Own UAN' };
		world.book.prepare('INSERT INTO own_product (id, product) VALUES (?, ?)').run(own.id, JSON.stringify(own));
		await record(load({ product: own.id }));
		expect(() => removeOwnProduct(world.book, own)).toThrow('stands in the records of what was applied');
	});
});

it('a pass from a decision is kept for the whole field, whatever part its document names', () => {
	const pass: Pass = { ...recorded().plan, label: 'Rescue', share: 0.5 };
	const plan: DecisionPlan = { name: 'Wet June', on: '2027-06-01', look: 'nitrate', is: 'below', amount: 20, pass };
	takeDecision(world.book, goal(), { id: addDecision(world.book, goal(), plan), plan }, '2027-06-01');
	expect(recorded('Rescue').plan).toMatchObject({ rate: pass.rate, label: 'Rescue' });
	expect(recorded('Rescue').plan).not.toHaveProperty('share');
});

it('the demo holds a pass in two loads, one of them corrected', () => {
	const { plan, doneOn, applications } = recorded('K before drilling');
	expect([doneOn, applications.length]).toEqual(['2026-09-24', 3]);
	const shown = seasonPage(desk(), address(), null).season!.passes.filter((one) => one.plan.label === plan.label);
	expect(shown.map(({ part, plan: went }: { part?: string; plan: Pass }) => [part, went.rate])).toEqual([
		['on 34 ac', 95],
		['on 20 ac', 90]
	]);
});
