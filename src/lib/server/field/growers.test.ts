import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { fillBook } from '../book/fill-book';
import { World } from '../api/api.test-help';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { theLibrary } from '../knowledge';
import { listFields } from '../stores/fields';
import { carrying } from '../../../core/season/checks/rule-cases.test-help';
import { orderOf } from '../../../core/supply/order';
import { library } from '../../../core/testing.test-help';
import type { UnitSystem } from '../../../core/units/rate-units';
import { orderDocument } from '../files/print/order-document';
import { rosterPage } from '../pages/whole-book/roster-page';

let world: World;
beforeEach(() => {
	world = new World();
	fillBook(world.book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
});
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), '2026-11-29');
const idOf = (name: string) => listFields(world.book).find((field) => field.name === name)!.id;
const yearOf = (name: string) => desk().fieldYear({ field: idOf(name), year: '2027' });
const put = (name: string, body: object) => world.call('PUT /api/fields/{field}/grower', { field: idOf(name) }, body);

describe('what a grower has of its own', () => {
	it('holds for all fields of the grower and for no other', () => {
		for (const name of ['Lagoon One', 'Lagoon Three']) {
			expect(yearOf(name).field.units, name).toBe('metric');
			expect(yearOf(name).advice!.context.station.id, name).toBe('mangrove-point');
		}
		const other = yearOf('Crow Acre');
		expect([other.field.units, other.advice!.context.station.id]).toEqual(['us', 'saltlick-common']);
		const { rows } = rosterPage(desk());
		expect(rows.find(({ name }) => name === 'Lagoon Two')?.units).toBe('metric');
		expect(rows.find(({ name }) => name === 'Crow Acre')?.units).toBe('us');
	});

	it('is set, and given back to the book, in one action', async () => {
		expect((await put('Crow Acre', { units: 'metric', station: 'mangrove-point' })).status).toBe(200);
		expect(yearOf('Crow Acre').field.units).toBe('metric');
		expect(yearOf('Crow Acre').advice!.context.station.latitude).toBe(4);
		expect((await put('Crow Acre', {})).status).toBe(200);
		expect(yearOf('Crow Acre').field.units).toBe('us');
		await world.call('PATCH /api/settings', {}, { units: 'metric' });
		expect(yearOf('Crow Acre').field.units).toBe('metric');
	});

	it('a station that is not known is refused by its name, and nothing is kept', async () => {
		const answer = await put('Crow Acre', { units: 'metric', station: 'nowhere' });
		expect(answer.status).toBe(422);
		expect(await answer.text()).toContain('\\"nowhere\\" is no station; known: saltlick-common, mangrove-point');
		expect(yearOf('Crow Acre').field.units).toBe('us');
	});

	it('buys in them: tonnes for an estate, short tons for a farm, on a page each', () => {
		const pass = { ...carrying('N', 'urea', 46, {}), id: 'u' };
		const open = (grower: string, units: UnitSystem) => ({
			fieldId: grower,
			field: `${grower} field`,
			grower,
			units,
			acres: 100,
			pass
		});
		const passes = [open('Estate', 'metric'), open('Farm', 'us')];
		// 100 lb/ac on 100 acres: 5 short tons, 4.536 t.
		expect(orderOf([passes[1]!], library.products, 'us')[0]!.toBuy).toEqual({ amount: 5, unit: 'short tons' });
		expect(orderOf([passes[0]!], library.products, 'metric')[0]!.toBuy).toEqual({ amount: 4.6, unit: 't' });
		const head = { year: 2027, orderedOn: '2026-11-29', preparedBy: 'Ada', dealers: {} };
		const paper = JSON.stringify(orderDocument(passes, library.products, head));
		for (const text of ['Needed, kg', '4536', '4.6 t', 'Needed, lb', '10,000', '5 short tons'])
			expect(paper, text).toContain(text);
	});

	it('has the rules speak its units', () => {
		const { checks } = yearOf('Lagoon One').advice!;
		const said = checks().map(({ text }) => text);
		expect(said.every((text) => !/\d lb\b/.test(text))).toBe(true);
	});
});
