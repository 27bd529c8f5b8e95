import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { fillBook } from '../book/fill-book';
import { World } from '../api/api.test-help';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { theLibrary } from '../knowledge';
import { listFields } from '../stores/fields';
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

	it('has the rules speak its units', () => {
		const { checks } = yearOf('Lagoon One').advice!;
		const said = checks().map(({ text }) => text);
		expect(said.every((text) => !/\d lb\b/.test(text))).toBe(true);
	});
});
