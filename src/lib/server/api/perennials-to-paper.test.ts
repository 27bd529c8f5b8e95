// Blocks of the demo from their rates to paper, through the operations that the pages call.
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Pass } from '../../../core/schema-types';
import { sheetCalendar } from '../files/print/sheet-calendar';
import { workOrders } from '../../../core/sheet/work-orders';
import { KG_HA_PER_LB_AC, KG_PER_LB, T_HA_PER_SHORT_TON_AC } from '../../../core/units/factors';
import { fillBook } from '../book/fill-book';
import { listFields } from '../stores/fields';
import { findFieldYear, listPasses } from '../stores/field-years';
import { changeSettings } from '../stores/settings';
import { listSheets } from '../stores/sheets';
import { World, type Ids } from './api.test-help';

let world: World;
let ids: Ids;
beforeEach(() => {
	world = new World();
	fillBook(world.book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	changeSettings(world.book, { preparedBy: 'Ada' });
});
const at = (name: string) => {
	const field = listFields(world.book).find((one) => one.name === name)!.id;
	ids = { field, year: '2027' };
};
const on = '/api/fields/{field}/{year}';
async function call(key: string, body: unknown): Promise<void> {
	const answer = await world.call(key, ids, body);
	expect(answer.status, `${key}: ${await answer.clone().text()}`).toBe(200);
}
const goal = () => findFieldYear(world.book, ids.field!, 2027)!;
const plans = () => listPasses(world.book, goal().id).map(({ plan }) => plan);
const issued = () => listSheets(world.book, goal().id)[0]!;

describe('palms of 25 t/ha with 40 t/ha of empty bunches', () => {
	const RULES = { N: 'nitrogen', P2O5: 'phosphorus', K2O: 'potassium', Mg: 'magnesium' };
	it('need half of their nitrogen and nothing else, in bags, by turns, to the calendar', async () => {
		at('Lagoon One');
		const choices = Object.entries(RULES).map(([nutrient, rule]) => ({ nutrient, method: `oil-palm/removal-${rule}` }));
		await call(`POST ${on}/choices`, { choices });
		const bunches: Pass = {
			id: 'bunches',
			date: '2027-01-10',
			label: 'Empty bunches',
			product: 'empty-bunches',
			rate: 40 / T_HA_PER_SHORT_TON_AC,
			unit: 'short ton/ac',
			placement: 'broadcast',
			reason: ''
		};
		await call(`POST ${on}/passes`, { removed: [], added: [bunches] });
		await call(`POST ${on}/programme`, {});
		const others = plans().filter(({ product }) => product !== 'empty-bunches');
		expect(plans()).toHaveLength(others.length + 1);
		expect(new Set(others.map(({ product }) => product))).toEqual(new Set(['ammonium-sulfate']));
		// 72.5 kg N less the 36 of 40 t of bunches, as ammonium sulfate of 21 %, in three rounds: 1.22 kg to a palm, in five cups of 0.25 kg.
		const kgHa = others.reduce((sum, { rate }) => sum + rate * 0.21, 0) * KG_HA_PER_LB_AC;
		expect(kgHa).toBeCloseTo(1.25 * 142.56 * 0.21, 1);
		expect(Math.abs(kgHa - 36.5)).toBeLessThan((0.25 / 2) * 142.56 * 0.21);
		// Proposed again, the bunches stay.
		await call(`POST ${on}/programme`, {});
		expect(plans().filter(({ product }) => product === 'empty-bunches')).toHaveLength(1);

		await call(`POST ${on}/sheets`, {});
		const { content } = issued();
		expect(content.units).toBe('metric');
		const orders = workOrders(content).filter(({ passes }) => passes.some(({ palmDose }) => palmDose));
		expect(orders.map(({ startsFrom }) => startsFrom)).toEqual(['the road', 'the centre path', 'the road']);
		expect(orders[0]!.passes[0]!.palmDose!.text).toBe('0.5 kg/palm, 3992 palms: 39 bags of 50 kg and 46 kg');
		// What the teams carry out is what the sheet counts for the block and the order buys.
		for (const { palmDose, wholeField } of orders.flatMap(({ passes }) => passes)) {
			if (!wholeField.applies) throw new Error(wholeField.reason);
			expect(palmDose!.product.value / (wholeField.value * KG_PER_LB)).toBeCloseTo(1, 3);
		}
		expect(workOrders(content)[0]!.cautions.join(' ')).toContain('empty bunches in one layer between the palms');
		expect(sheetCalendar(issued())).toContain('Empty bunches');
	});
});

describe('avocado on acid ground', () => {
	it('gets dolomite on the surface, evenly under the canopy, to the sheet', async () => {
		at('Terrace Grove');
		await call(`POST ${on}/choices`, {
			choices: [{ nutrient: 'lime', ownRate: 1, reason: 'Under the canopy, by the yearly test.' }]
		});
		await call(`PUT ${on}/liming`, { product: 'dolomitic-lime' });
		await call(`POST ${on}/programme`, {});
		const [lime] = plans();
		expect(lime).toMatchObject({ product: 'dolomitic-lime', placement: 'broadcast', unit: 'short ton/ac' });
		await call(`POST ${on}/sheets`, {});
		const { content } = issued();
		expect(content.passes[0]!.carries.map(({ nutrient }) => nutrient)).toContain('Mg');
		expect(sheetCalendar(issued())).toContain('Lime');
	});
});
