import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Pass } from '../../../../core/schema-types';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { listFields } from '../../stores/fields';
import { openCautions } from '../open-cautions';
import { stressSetup } from './stress-setup';

const district = readFileSync('demo/district.json', 'utf8');
let db: Database;
beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
});
const desk = () => new Desk(db, libraryOf(db, theLibrary()), '2026-11-23');
const idOf = (name: string) => listFields(db).find((field) => field.name === name)!.id;
const yearOf = (name: string) => desk().fieldYear({ field: idOf(name), year: '2027' });

describe('what a worker needs to try a plan over simulated seasons', () => {
	it('the plan first, then other ways to put on the same nitrogen', () => {
		const fieldYear = yearOf('Crow Acre');
		const advice = fieldYear.advice!;
		const { programmes, knowledge, yieldUnit, grainPrice } = stressSetup(desk(), fieldYear, advice);
		const [plan, ...others] = programmes;
		expect(plan!.request.passes.map(({ id }) => id).sort()).toEqual(advice.passes.map(({ plan: { id } }) => id).sort());
		expect(others.length).toBeGreaterThan(0);
		expect(new Set(programmes.map(({ name }) => name)).size).toBe(programmes.length);
		const nitrogenOf = (passes: readonly Pass[]) =>
			passes.reduce((sum, { product, rate, unit }) => {
				const card = knowledge.products.find(({ id }) => id === product)!;
				const pounds = unit === 'gal/ac' ? rate * card.densityLbPerGal! : unit === 'short ton/ac' ? rate * 2000 : rate;
				return sum + (pounds * (card.analysis.N ?? 0)) / 100;
			}, 0);
		for (const { request, name } of others) {
			expect(nitrogenOf(request.passes), name).toBeCloseTo(nitrogenOf(plan!.request.passes), 0);
		}
		expect(yieldUnit).toBe('bu/ac of 56 lb');
		expect(grainPrice).toBeGreaterThan(0);
		expect(knowledge.stations).toHaveLength(1);
	});

	it('without prices the cost is not known, and is not 0', () => {
		db.exec('DELETE FROM price');
		const { programmes, grainPrice } = stressSetup(desk(), yearOf('Crow Acre'), yearOf('Crow Acre').advice!);
		expect(grainPrice).toBeUndefined();
		for (const { nitrogenCost, request } of programmes) {
			if (request.passes.length > 0) expect(nitrogenCost).toBeUndefined();
		}
	});
});

describe('what is open on some fields', () => {
	it('is what reading and season of each field count', () => {
		const names = ['Crow Acre', 'Kingfisher Bend', 'Filbert Hill'];
		const open = openCautions(desk(), '2027', names.map(idOf));
		for (const name of names) {
			const { advice } = yearOf(name);
			const all = [...(advice?.answer.findings ?? []), ...(advice?.checks() ?? [])].map(({ severity }) => severity);
			const count = (wanted: string) => all.filter((severity) => severity === wanted).length;
			expect(open[idOf(name)], name).toEqual({ stop: count('stop'), mind: count('mind'), outOfDate: false });
		}
		expect(Object.values(open).some(({ mind }) => mind > 0)).toBe(true);
	});

	it('of a hundred fields at most, and of none for none', () => {
		expect(openCautions(desk(), '2027', [])).toEqual({});
		const many = Array.from({ length: 101 }, () => idOf('Crow Acre'));
		expect(Object.keys(openCautions(desk(), '2027', [...many.slice(0, 100), idOf('Heronry')]))).toEqual([
			idOf('Crow Acre')
		]);
		expect(() => openCautions(desk(), 'soon', many)).toThrow();
	});
});
