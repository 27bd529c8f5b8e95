import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Pass } from '../../../core/schema-types';
import { listFields, listSamples, removeSample } from '../stores/fields';
import { changePasses, choose, findFieldYear, listPasses, markDone } from '../stores/field-years';
import { addLayers, listLayers, removeLayer } from '../stores/ground-maps';
import { act } from './act';
import { fillBook } from './fill-book';
import { openBook } from './open-book';

const district = readFileSync('demo/district.json', 'utf8');
const ELSEWHERE = 'This belongs to another field or year. Reload the page.';
let db: Database;

beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
});

const idOf = (name: string) => listFields(db).find((field) => field.name === name)!.id;
const yearOf = (name: string, year = 2027) => findFieldYear(db, idOf(name), year)!;
const passesOf = (name: string, year = 2027) => listPasses(db, yearOf(name, year).id);
const everything = () =>
	['pass', 'sample', 'ground_layer', 'choice', 'field_year', 'event'].map((table) =>
		db.prepare(`SELECT * FROM ${table} ORDER BY 1`).all()
	);

describe('what an action on one field cannot reach', () => {
	const foreign: [string, () => void][] = [
		[
			'passes of another field',
			() => changePasses(db, yearOf('Heronry'), 'x', [passesOf('Crow Acre')[0]!.plan.id], [])
		],
		[
			'a pass of another field, changed in place',
			() => {
				const { plan } = passesOf('Crow Acre')[0]!;
				changePasses(db, yearOf('Heronry'), 'x', [plan.id], [{ ...plan, rate: 1 }]);
			}
		],
		[
			'a pass of another year of the same field',
			() => changePasses(db, yearOf('Crow Acre', 2026), 'x', [passesOf('Crow Acre')[0]!.plan.id], [])
		],
		['a booking of another field', () => markDone(db, yearOf('Heronry'), passesOf('Crow Acre')[0]!.plan, '2027-04-05')],
		['a sample of another field', () => removeSample(db, idOf('Heronry'), listSamples(db, idOf('Crow Acre'))[0]!.id)]
	];
	it.each(foreign)('%s', (_, change) => {
		const before = everything();
		expect(change).toThrow(/another field or year|no such|removed meanwhile/);
		expect(everything()).toEqual(before);
	});

	it('a layer of another field', () => {
		addLayers(db, idOf('Crow Acre'), [{ name: 'K', quantity: 'K', unit: 'ppm', points: [[-34.968, 41, 120]] }]);
		const [layer] = listLayers(db, idOf('Crow Acre'));
		expect(() => removeLayer(db, idOf('Heronry'), layer!.id)).toThrow();
		expect(listLayers(db, idOf('Crow Acre'))).toHaveLength(1);
	});

	it('anything that hangs on a year of another field, or on its prescriptions', () => {
		const [own, other] = [yearOf('Heronry'), yearOf('Crow Acre')];
		const row = {
			id: 'x',
			field_year_id: other.id,
			nutrient: 'S',
			method: null,
			own_rate: 1,
			reason: 'r',
			both_years: 0
		};
		expect(() => act(db, { label: 'x', fieldYear: own }, (writer) => writer.insert('choice', row))).toThrow(ELSEWHERE);
		expect(() => act(db, { label: 'x', fieldId: own.field_id }, (writer) => writer.put('choice', row))).toThrow(
			ELSEWHERE
		);
		db.prepare(
			`INSERT INTO prescription (id, field_year_id, made_at, content) VALUES ('p', ?, '2027-01-01', '{}')`
		).run(other.id);
		const log = { id: 'l', prescription_id: 'p', content: '{}' };
		expect(() => act(db, { label: 'x', fieldId: own.field_id }, (writer) => writer.insert('as_applied', log))).toThrow(
			ELSEWHERE
		);
	});

	it('its own rows it reaches, and those of no field', () => {
		const own = yearOf('Crow Acre');
		choose(db, own, [{ nutrient: 'S', ownRate: 12, reason: 'thin' }], 'Chose');
		changePasses(db, own, 'Removed', [passesOf('Crow Acre')[0]!.plan.id], []);
		expect(passesOf('Crow Acre')).toHaveLength(5);
		const sample = listSamples(db, own.field_id)[0]!;
		removeSample(db, own.field_id, sample.id);
		expect(listSamples(db, own.field_id).map(({ id }) => id)).not.toContain(sample.id);
		act(db, { label: 'x', fieldYear: own }, (writer) => writer.put('setting', { id: 'units', value: 'metric' }));
	});
});

describe('a pass that was applied', () => {
	it('is neither removed nor changed until that is taken back', () => {
		const year = yearOf('Crow Acre');
		const first: Pass = passesOf('Crow Acre')[0]!.plan;
		markDone(db, year, first, '2026-12-06');
		const because = `${first.label} was applied on 6 Dec 2026: take that back first, then change or remove it.`;
		expect(() => changePasses(db, year, 'x', [first.id], [])).toThrow(because);
		expect(() => changePasses(db, year, 'x', [first.id], [{ ...first, rate: 1 }])).toThrow(because);
		markDone(db, year, first, null);
		changePasses(db, year, 'Removed', [first.id], []);
		expect(passesOf('Crow Acre').map(({ plan }) => plan.id)).not.toContain(first.id);
	});
});
