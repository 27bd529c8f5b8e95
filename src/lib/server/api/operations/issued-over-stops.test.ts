import { beforeEach, describe, expect, it } from 'vitest';
import { workOrders } from '../../../../core/sheet/work-orders';
import { sheetWarnings } from '../../../../core/sheet/sheet-warnings';
import type { IssuedSheets, Pass } from '../../../../core/schema-types';
import { openCautions } from '../../field/open-cautions';
import { draftNow, objectionsOf } from '../../field/issue-sheet';
import { listPasses } from '../../stores/field-years';
import { listSheets } from '../../stores/sheets';
import { World } from '../api.test-help';

const YEAR = '/api/fields/{field}/{year}';
const SHEETS = `POST ${YEAR}/sheets`;
/** Ammonia in warm autumn ground: a stop; seven weeks before today. */
const AMMONIA: Pass = {
	id: 'ammonia',
	date: '2026-10-05',
	label: 'Ammonia in fall',
	product: 'ammonia',
	rate: 200,
	unit: 'lb/ac',
	placement: 'injected',
	reason: ''
};
let world: World;
const at = () => ({ field: world.own.field!, year: world.own.year! });
const fieldYear = () => world.desk().fieldYear(at());
const draft = () => draftNow(world.desk(), fieldYear())!;
const stops = () => objectionsOf(world.desk(), fieldYear(), draft());

beforeEach(async () => {
	world = await World.make();
	const ammonia = world.desk().library.products.find(({ hazards }) => hazards.includes('ammonia'))!.id;
	await world.call(`POST ${YEAR}/passes`, world.own, { removed: [], added: [{ ...AMMONIA, product: ammonia }] });
});

describe('a sheet with stops', () => {
	it('asks a reason for each stop and each past day, by the pass, and prints them', async () => {
		expect(stops().length).toBeGreaterThanOrEqual(2);
		expect(stops().some((stop) => stop.startsWith('Ammonia in fall: '))).toBe(true);
		expect(stops()).toContain('Ammonia in fall was planned for 5 Oct 2026 and is not applied.');
		expect((await world.call(SHEETS, world.own, {})).status).toBe(409);
		const but = stops()
			.slice(1)
			.map((stop) => ({ stop, reason: 'The ground was cold by then.' }));
		expect((await world.call(SHEETS, world.own, { reasons: but })).status).toBe(409);
		expect(listSheets(world.book, fieldYear().advice!.goal.id)).toEqual([]);

		const reasons = stops().map((stop) => ({ stop, reason: 'The ground was cold by then.' }));
		expect((await world.call(SHEETS, world.own, { reasons })).status).toBe(200);
		const { content } = listSheets(world.book, fieldYear().advice!.goal.id)[0]!;
		expect(content.accepted).toEqual(reasons);
		const said = sheetWarnings(content);
		for (const { stop } of reasons) expect(said.find(({ text }) => text === stop)!.reason).toContain('cold by then');
		const order = workOrders(content).find(({ title }) => title.includes('Ammonia in fall'))!;
		expect(order.stops.length).toBeGreaterThan(0);
		expect(order.stops.every(({ reason }) => reason === 'The ground was cold by then.')).toBe(true);
		expect(order.warnings.some((text) => order.stops.some((stop) => stop.text === text))).toBe(false);
		// The reasons are no advice: the sheet is not out of date for having none in the draft.
		const open = openCautions(world.desk(), at().year, [at().field]);
		expect(open[at().field]!.outOfDate).toBe(false);
		const [pass] = listPasses(world.book, fieldYear().advice!.goal.id);
		await world.call(`POST ${YEAR}/passes`, world.own, { removed: [pass!.plan.id], added: [] });
		expect(openCautions(world.desk(), at().year, [at().field])[at().field]!.outOfDate).toBe(true);
	});
	it('is left where many are issued, first of those that are left, until a reason is given for all', async () => {
		const other = world.own.otherField!;
		const bare = world.book.prepare<[], { id: string }>("SELECT id FROM field WHERE name = 'Filbert Hill'").get()!.id;
		const issue = async (body: object) =>
			(await (
				await world.call('POST /api/sheets', world.own, { year: 2027, fields: [bare, at().field, other], ...body })
			).json()) as IssuedSheets;
		const first = await issue({});
		expect(first.left.map(({ id, stops: count }) => [id, count > 0])).toEqual([
			[at().field, true],
			[bare, false]
		]);
		const then = await issue({ reason: 'Asked for by the grower.' });
		expect(then.issued.map(({ field }) => field)).toContain(fieldYear().field.name);
	});
});
