// A base dose with a decision, and plans kept side by side, through the operations that the season page calls.
import { beforeEach, describe, expect, it } from 'vitest';
import type { StressSetup } from '../../../workers/stress-messages';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { draftSheet } from '../field/draft-sheet';
import { theLibrary } from '../knowledge';
import { seasonPage } from '../pages/season-page';
import { sheetPage } from '../pages/sheet-page';
import { listDecisions } from '../stores/plan/decisions';
import { findFieldYear, listPasses } from '../stores/field-years';
import { changeSettings } from '../stores/settings';
import { DECISION_EXAMPLE } from './examples';
import { World, type Ids } from './api.test-help';

let world: World;
let ids: Ids;
beforeEach(async () => {
	world = await World.make();
	ids = world.own;
});
const ON = '/api/fields/{field}/{year}';
const goal = () => findFieldYear(world.book, ids.field!, 2027)!;
const address = () => ({ field: ids.field!, year: '2027' });
const desk = (today = '2026-11-23') => new Desk(world.book, libraryOf(world.book, theLibrary()), today);
async function ok(key: string, body?: unknown): Promise<unknown> {
	const answer = await world.call(key, ids, body);
	expect(answer.status, `${key}: ${await answer.clone().text()}`).toBe(200);
	return answer.json();
}
async function refused(body: object): Promise<string> {
	const answer = await world.call(`POST ${ON}/decisions`, ids, { ...DECISION_EXAMPLE, ...body });
	expect(answer.ok).toBe(false);
	return ((await answer.json()) as { message: string }).message;
}

describe('a decision', () => {
	it('waits for its day, stands on the sheet, and says what is seen and what that calls for', () => {
		const before = seasonPage(desk(), address(), null).season!.decisions[0]!;
		expect(before).toMatchObject({
			calls: undefined,
			seen: { applies: false, reason: 'to be looked at on 12 Jun 2027' }
		});
		expect(before.text).toMatch(
			/^Look on 12 Jun 2027: if more than 6 in of rain fell since 20 Apr 2027, then 120 lb\/ac of Urea/
		);
		changeSettings(world.book, { preparedBy: 'Ada' });
		expect(sheetPage(desk(), address()).draft!.decisions).toEqual([before.text]);
		const later = seasonPage(desk('2027-06-12'), address(), null).season!.decisions[0]!;
		expect(later.seen).toMatchObject({
			applies: false,
			reason: expect.stringMatching(/^the rain of 2027-0/) as string
		});
	});
	it('by the season model sees nitrate, and its pass goes into the plan in one action that can be undone', async () => {
		const nitrate = { ...DECISION_EXAMPLE, name: 'Nitrate in June', look: 'nitrate', is: 'below', amount: 900 };
		ids = { ...ids, decision: ((await ok(`POST ${ON}/decisions`, nitrate)) as { id: string }).id };
		const seen = seasonPage(desk('2027-06-20'), address(), null).season!.decisions.find(
			({ id }) => id === ids.decision
		)!;
		expect(seen).toMatchObject({ calls: true, seen: { applies: true, unit: 'lb/ac' } });
		const count = listPasses(world.book, goal().id).length;
		await ok(`POST ${ON}/decisions/{decision}/pass`, {});
		expect(listPasses(world.book, goal().id)).toHaveLength(count + 1);
		expect(listDecisions(world.book, goal().id).find(({ id }) => id === ids.decision)!.madeOn).toBeDefined();
		const again = await world.call(`POST ${ON}/decisions/{decision}/pass`, ids, {});
		expect(again.status).toBe(409);
		const { id } = world.book.prepare('SELECT max(id) AS id FROM event').get() as { id: number };
		await ok('POST /api/undo', { event: id });
		expect(listPasses(world.book, goal().id)).toHaveLength(count);
		expect(listDecisions(world.book, goal().id).find((one) => one.id === ids.decision)!.madeOn).toBeUndefined();
	});
	it('that does not hold together is refused in words', async () => {
		const { pass } = DECISION_EXAMPLE;
		expect(await refused({ since: '2027-07-01' })).toMatch(
			/must be a day before the look on 2027-06-12; got "2027-07-01"/
		);
		expect(await refused({ pass: { ...pass, date: '2027-06-01' } })).toMatch(/must not be before the look/);
		expect(await refused({ pass: { ...pass, date: '2031-06-01' } })).toMatch(/must lie in the season/);
		expect(await refused({ pass: { ...pass, product: 'gold' } })).toMatch(/"gold" is not in the catalogue/);
		expect(await refused({ pass: { ...pass, unit: 'gal/ac' } })).toMatch(/has no density/);
	});
});

describe('simulated seasons', () => {
	it('try the plan with its decision, without it, once with all it might add, and every plan that was kept', async () => {
		await ok(`POST ${ON}/kept-plans`, { name: 'As of March' });
		const { programmes } = (await ok(`GET ${ON}/seasons`)) as StressSetup;
		const names = programmes.map(({ name }) => name);
		expect(names).toEqual(
			expect.arrayContaining([
				'This plan',
				'This plan, nothing added',
				'All before planting, with what may be added',
				'As of March'
			])
		);
		const of = (name: string) => programmes.find((one) => one.name === name)!;
		expect(of('This plan').decisions!.map(({ plan }) => plan.name)).toEqual([DECISION_EXAMPLE.name]);
		expect(of('This plan').decisions![0]!.cost).toBeGreaterThan(0);
		expect(of('This plan, nothing added').decisions).toEqual([]);
		expect(of('As of March')).toMatchObject({ decisions: [{ plan: { name: DECISION_EXAMPLE.name } }] });
		await ok(`DELETE ${ON}/decisions/{decision}`);
		const bare = ((await ok(`GET ${ON}/seasons`)) as StressSetup).programmes.map(({ name }) => name);
		expect(bare).not.toContain('This plan, nothing added');
		expect(bare).toContain('As of March');
	});
	it('a plan kept again under its name is replaced, and deleted it is gone', async () => {
		const kept = () => seasonPage(desk(), address(), null).season!.keptPlans;
		const before = kept().length;
		const { id } = (await ok(`POST ${ON}/kept-plans`, { name: 'All in spring' })) as { id: string };
		expect(kept()).toHaveLength(before);
		ids = { ...ids, keptPlan: id };
		await ok(`DELETE ${ON}/kept-plans/{keptPlan}`);
		expect(kept()).toHaveLength(before - 1);
	});
	it('a kept plan put into use stands as it was kept, but for what was applied; one undo brings the other back', async () => {
		const labels = () =>
			listPasses(world.book, goal().id)
				.map(({ plan }) => plan.label)
				.toSorted();
		const before = labels();
		const { id } = (await ok(`POST ${ON}/kept-plans`, { name: 'As of March' })) as { id: string };
		ids = { ...ids, keptPlan: id };
		await ok(`POST ${ON}/decisions/{decision}/pass`, {});
		const first = listPasses(world.book, goal().id)[0]!;
		await ok(`POST ${ON}/passes`, { removed: [first.plan.id], added: [] });
		const changed = labels();
		expect(changed).not.toEqual(before);
		await ok(`POST ${ON}/kept-plans/{keptPlan}/use`, {});
		expect(labels()).toEqual(before);
		const waiting = () => listDecisions(world.book, goal().id).map(({ plan, madeOn }) => [plan.name, madeOn]);
		expect(waiting()).toEqual([[DECISION_EXAMPLE.name, undefined]]);
		const { id: event } = world.book.prepare('SELECT max(id) AS id FROM event').get() as { id: number };
		await ok('POST /api/undo', { event });
		expect(labels()).toEqual(changed);
		expect(waiting()).toEqual([[DECISION_EXAMPLE.name, expect.any(String)]]);
	});
	it('a decision whose pass was applied stays made when a plan from before it comes back into use', async () => {
		const { id } = (await ok(`POST ${ON}/kept-plans`, { name: 'As of March' })) as { id: string };
		await ok(`POST ${ON}/decisions/{decision}/pass`, {});
		const added = listPasses(world.book, goal().id).find(({ plan }) => plan.label === DECISION_EXAMPLE.pass.label)!;
		ids = { ...ids, keptPlan: id };
		world.today = '2027-06-20';
		await ok(`PUT ${ON}/done`, { pass: added.plan.id, doneOn: '2027-06-15' });
		await ok(`POST ${ON}/kept-plans/{keptPlan}/use`, {});
		expect(listPasses(world.book, goal().id).some(({ plan }) => plan.id === added.plan.id)).toBe(true);
		expect(listDecisions(world.book, goal().id).map(({ madeOn }) => madeOn)).toEqual([expect.any(String)]);
	});
	it('a sheet without decisions says nothing of them', async () => {
		await ok(`DELETE ${ON}/decisions/{decision}`);
		const fieldYear = desk().fieldYear(address());
		const content = draftSheet(fieldYear, fieldYear.advice!, desk().settings, new Map(), {
			leafTests: [],
			decisions: []
		});
		expect(content).not.toHaveProperty('decisions');
	});
});
