import { describe, expect, it } from 'vitest';
import { compilePacks } from '../packs/compile-packs';
import type { PackDocument } from '../schema-types';
import { cornRequest, cornRequestWith, library } from '../testing.test-help';
import { ruleKinds } from './kinds';
import { movedRates } from './moved-rates';
import { ratesOfMany, type ManyRates } from './rates-of-many';

const fields = [
	cornRequest(),
	cornRequestWith({ P: { method: 'bray-p1', value: 40, unit: 'ppm' } }),
	cornRequestWith({ P: undefined })
];
const guide = () => structuredClone(library.packs.packs.find(({ id }) => id === 'tri-state-1995')!);

function run(pack: PackDocument): { rules: ReturnType<typeof compilePacks>['rules']; rates: ManyRates } {
	const packs = compilePacks([pack], ruleKinds);
	const steps = ratesOfMany(fields, fields.length, { ...library, packs }, '2026-11-20');
	for (;;) {
		const step = steps.next();
		if (step.done) return { rules: packs.rules, rates: step.value };
	}
}

/** The guide with another critical level of P for corn; its examples of P are left out. */
function withLevel(level: number): PackDocument {
	const pack = guide();
	const rule = pack.rules.find(({ id }) => id === 'phosphorus')!;
	rule.examples = [];
	(rule.crops!['corn-grain'] as { criticalLevelPpm: object }).criticalLevelPpm = { constant: level };
	return pack;
}

describe('what a changed guide does to the fields', () => {
	const before = run(guide()).rates;

	it('is nothing where nothing was changed', () => {
		const { rules, rates } = run(guide());
		expect(movedRates(rules, before, rates, fields.length)).toEqual([]);
	});

	it('is told for the fields and rules that move, and for no others', () => {
		const { rules, rates } = run(withLevel(18));
		const moved = movedRates(rules, before, rates, fields.length);
		// 10 ppm: (18 - 15) x 5 more; 40 ppm: inside the drawdown now, 7 ppm into it of 10.
		expect(moved.map(({ row, nutrient }) => [row, nutrient])).toEqual([
			[0, 'P2O5'],
			[1, 'P2O5']
		]);
		expect(moved[0]).toMatchObject({ before: 84.2, unit: 'lb/ac' });
		expect(moved[0]?.after).toBeCloseTo(99.2, 9);
		expect(moved[1]).toMatchObject({ before: 0 });
		expect(moved[1]?.after).toBeCloseTo(59.2 * 0.3, 9);
	});

	it('leaves out what would print the same', () => {
		const { rules, rates } = run(withLevel(15.005));
		expect(movedRates(rules, before, rates, fields.length)).toEqual([]);
	});

	it('is every rate of a guide that was not there before, and a rule that falls silent', () => {
		const { rules, rates } = run(guide());
		const fresh = movedRates(rules, undefined, rates, fields.length);
		expect(fresh.every(({ before: was }) => was === null)).toBe(true);
		expect(fresh.filter(({ row }) => row === 0)).toHaveLength(4);
		const silent = guide();
		const rule = silent.rules.find(({ id }) => id === 'phosphorus')!;
		rule.examples = rule.examples.filter(({ crop }) => crop !== 'corn-grain');
		delete rule.crops!['corn-grain'];
		const after = run(silent);
		const [first] = movedRates(after.rules, before, after.rates, fields.length);
		expect(first).toMatchObject({ row: 0, before: 84.2, after: null });
	});
});
