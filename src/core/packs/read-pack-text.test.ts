import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ruleKinds } from '../rates/kinds';
import { compilePacks } from './compile-packs';
import { library } from '../testing.test-help';
import { readPackText } from './read-pack-text';

const CROPS = library.crops.map(({ id }) => id);
const shipped = (name: string) => readFileSync(`packs/${name}.json`, 'utf8');
const problemsOf = (text: string) => readPackText(text, ruleKinds, CROPS).problems;
/** The line, from 1, on which the words stand. */
const lineOf = (text: string, words: string) => text.split('\n').findIndex((line) => line.includes(words)) + 1;

describe('a pack’s text', () => {
	it('is read with its rules', () => {
		const read = readPackText(shipped('tri-state-2020'), ruleKinds, CROPS);
		expect(read.problems).toEqual([]);
		expect(read.rules.map(({ method }) => method)).toEqual(['tri-state-2020/phosphorus', 'tri-state-2020/potassium']);
	});

	it.each([
		['an unknown kind', '"kind": "build-to-range"', '"kind": "guesswork"', 'is no rule kind'],
		['a bad unit', '"unit": "lb/ac"', '"unit": "short ton/ac"', 'must be "lb/ac" for P2O5'],
		['an unknown unit', '"unit": "lb/ac"', '"unit": "hundredweight"', 'must be one of lb/ac'],
		['an example that does not come out', '"gives": 76', '"gives": 75', 'should give 75 but gives 76'],
		['an input that is none', '"soilTest": 16', '"soiltest": 16', 'is no input; known: soilTest'],
		['a coefficient that is a word', '"buildYears": 4', '"buildYears": "four"', 'must be number']
	])('with %s is refused with the line', (_name, words, change, message) => {
		const text = shipped('tri-state-2020');
		const broken = text.replace(words, change);
		const problem = problemsOf(broken).find((one) => one.message.includes(message));
		expect(problem, JSON.stringify(problemsOf(broken))).toBeDefined();
		// A coefficient of all crops is complained of where the crop lays its own over it.
		if (words !== '"buildYears": 4') expect(problem!.line).toBe(lineOf(broken, change));
	});

	it('that is no JSON is refused with the line, and so is none at all', () => {
		const text = shipped('micronutrients');
		const broken = text.replace('"rules": [', '"rules": [,');
		expect(problemsOf(broken)[0]).toMatchObject({ line: lineOf(broken, '"rules": [,') });
		expect(problemsOf('')[0]).toMatchObject({
			line: 1,
			message: 'is not JSON, in which a guide is written (ValueExpected)'
		});
		expect(problemsOf('7')[0]?.line).toBe(1);
	});
	it('that is nested so deep that reading it would break the program is refused with the line', () => {
		const deep = `{\n"a":${'['.repeat(200_000)}${']'.repeat(200_000)}}`;
		expect(problemsOf(deep)).toEqual([{ path: '', line: 2, message: 'must be nested at most 64 deep' }]);
	});
});

describe('the two pH scales in a pack', () => {
	const acid = () => JSON.parse(shipped('acid-soils-cacl2'));
	const messages = (pack: unknown) => problemsOf(JSON.stringify(pack)).map(({ message }) => message);

	it('are never mixed', () => {
		const mixed = acid();
		mixed.rules[0].parameters.target.scale = 'water';
		expect(messages(mixed)[0]).toContain('is on the scale "water", and the pack on "cacl2"');
		expect(() => compilePacks([mixed], ruleKinds)).toThrow('never mixed');
	});
	it('are named by every pack that reads pH', () => {
		const unnamed = acid();
		delete unnamed.phScale;
		expect(messages(unnamed)[0]).toContain('name "water" or "cacl2"');
	});
	it('hold for the lab’s methods too', () => {
		const other = acid();
		other.rules[0].soilTest = { analyte: 'pH', methods: ['water'] };
		expect(messages(other)[0]).toContain('is on the scale "water"');
	});
});

it('a bridge between methods has a source', () => {
	const pack = JSON.parse(shipped('tri-state-1995'));
	delete pack.bridges[0].citation;
	expect(problemsOf(JSON.stringify(pack))[0]).toMatchObject({ path: '/bridges/0/citation' });
});

it('a guide of another state works without a change to the code (KSU MF-2586 equations, from memory)', () => {
	const { rules, problems } = readPackText(
		readFileSync('demo/packs/central-plains-2003.json', 'utf8'),
		ruleKinds,
		CROPS
	);
	expect(problems).toEqual([]);
	expect(rules.map(({ rule }) => rule.gives)).toEqual(['P2O5', 'K2O', 'Zn']);
});
