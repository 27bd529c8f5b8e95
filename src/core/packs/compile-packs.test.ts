import { describe, expect, it } from 'vitest';
import { InputError, type Problem } from '../check/problem';
import type { PackDocument } from '../schema-types';
import { ruleKinds } from '../rates/kinds';
import { library } from '../testing.test-help';
import { compilePacks } from './compile-packs';

const shipped = (id: string): PackDocument => structuredClone(library.packs.packs.find((pack) => pack.id === id)!);

/** The problems a changed copy of the 1995 guide is refused with. */
function problemsOf(change: (pack: PackDocument) => unknown): readonly Problem[] {
	const pack = shipped('tri-state-1995');
	try {
		compilePacks([change(pack) ?? pack], ruleKinds);
	} catch (error) {
		if (error instanceof InputError) return error.problems;
		throw error;
	}
	return [];
}

const nitrogen = (pack: PackDocument) => pack.rules.find(({ id }) => id === 'nitrogen')!;

describe('a pack is taken', () => {
	it('as shipped', () => expect(problemsOf(() => undefined)).toEqual([]));

	it('with a new guide of known kinds, without a change to the code', () => {
		const guide: PackDocument = {
			id: 'own-guide',
			version: '0.1.0',
			title: 'Own guide',
			region: 'Here',
			edition: '1',
			rules: [
				{
					id: 'potash',
					title: 'K2O by own trials',
					gives: 'K2O',
					school: 'feed-the-crop',
					kind: 'linear-sufficiency',
					unit: 'lb/ac',
					basis: 'adviser',
					soilTest: { analyte: 'K', methods: ['mehlich-3'] },
					parameters: {},
					crops: { oats: { perYield: 0.5, perYieldAndPpm: 0.004 } },
					examples: [
						{
							crop: 'oats',
							inputs: { yieldGoal: 100, soilTest: 100 },
							gives: 10,
							tolerance: 1e-9,
							source: 'own trials'
						}
					]
				}
			]
		};
		const { rules } = compilePacks([shipped('tri-state-1995'), guide], ruleKinds);
		expect(rules.map(({ method }) => method)).toContain('own-guide/potash');
	});
});

describe('a pack is refused, with the line', () => {
	it('for an unknown rule kind, naming the known ones', () => {
		const [problem] = problemsOf((pack) => void (nitrogen(pack).kind = 'astrology'));
		expect(problem).toMatchObject({ path: '/rules/0/kind' });
		expect(problem?.message).toContain('known kinds: line-through-points');
	});

	it('for a worked example that does not come out', () => {
		const [problem] = problemsOf((pack) => void (nitrogen(pack).examples[0]!.gives = 150));
		expect(problem).toMatchObject({ path: '/rules/0/examples/0/gives' });
		expect(problem?.message).toMatch(/yieldGoal 160.* should give 150 but gives 160\.6/);
	});

	it('for an example of a crop it has no coefficients for', () => {
		const problems = problemsOf((pack) => void (nitrogen(pack).examples[0]!.crop = 'flax'));
		expect(problems[0]).toMatchObject({ path: '/rules/0/examples/0/crop' });
	});

	it('for a coefficient that is missing, misspelt or no number', () => {
		const crops = (pack: PackDocument) => nitrogen(pack).crops as Record<string, Record<string, unknown>>;
		expect(problemsOf((pack) => void delete crops(pack)['corn-grain']!.perYield)[0]?.path).toBe(
			'/rules/0/crops/corn-grain'
		);
		expect(problemsOf((pack) => void (crops(pack)['corn-grain']!.perYeild = 1))[0]?.message).toContain(
			'unknown key "perYeild"'
		);
		expect(problemsOf((pack) => void (crops(pack)['corn-grain']!.perYield = '1.36'))[0]?.path).toBe(
			'/rules/0/crops/corn-grain/perYield'
		);
	});

	it('for a bad unit, a doubled rule, a missing school and a source that is not named', () => {
		expect(problemsOf((pack) => void (nitrogen(pack).unit = 'stone/ac' as 'lb/ac'))[0]?.path).toBe('/rules/0/unit');
		expect(problemsOf((pack) => void pack.rules.push(structuredClone(pack.rules[0]!)))[0]?.message).toContain(
			'stands twice'
		);
		expect(problemsOf((pack) => void delete nitrogen(pack).school)[0]?.path).toBe('/rules/0/school');
		expect(problemsOf((pack) => void delete nitrogen(pack).citation)[0]?.message).toContain(
			"needs the publication's name"
		);
	});

	it('for an unknown crop, and for anything that is no pack', () => {
		expect(problemsOf((pack) => void (nitrogen(pack).crops = { wheatgrass: {} } as never))).not.toEqual([]);
		expect(problemsOf(() => ({ id: 'x' }))).not.toEqual([]);
		expect(problemsOf(() => 'a pack')).not.toEqual([]);
	});

	it('for two packs of one name', () => {
		expect(() => compilePacks([shipped('wheat-sulfur'), shipped('wheat-sulfur')], ruleKinds)).toThrow(
			'two packs are named'
		);
	});
});

it('every shipped rule names its source or says common practice, and has a worked example', () => {
	for (const { method, rule } of library.packs.rules) {
		if (rule.basis !== 'practice') expect(rule.citation, method).toBeTruthy();
		expect(rule.examples.length, method).toBeGreaterThan(0);
	}
});
