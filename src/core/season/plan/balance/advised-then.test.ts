import { describe, expect, it } from 'vitest';
import { advise } from '../../../rates/advise';
import { valueIfKnown } from '../../../figure/figure';
import { cornRequest, library } from '../../../testing.test-help';
import { advisedThen } from './advised-then';
import { nutrientBalance } from './nutrient-balance';

const corn = library.crops.find(({ id }) => id === 'corn-grain')!;
const balanceOf = (harvested: number | undefined) =>
	nutrientBalance(
		[{ year: 2026, crop: corn, harvested, strawShare: 0, passes: [] }],
		library.packs,
		library.products
	)[0]!;
const answer = advise(cornRequest(), library, '2026-11-20');
const rows = advisedThen(answer, balanceOf(150));
const of = (method: string) => rows.find(({ rate }) => rate.method === method)!;

describe('what each approach would have advised', () => {
	it('is held against what was applied and what the harvest took', () => {
		const { advised, applied, balance } = of('tri-state-1995/phosphorus');
		expect(valueIfKnown(advised)).toBeCloseTo(84.2, 9);
		expect(valueIfKnown(applied)).toBe(0);
		// By hand: 84.2 less 150 bu x 0.35 lb, the removal of the balance.
		expect(valueIfKnown(balance)).toBeCloseTo(84.2 - 150 * 0.35, 9);
	});

	it('has every approach for the season that gives a rate, and none for a part of it', () => {
		expect(rows.every(({ rate }) => rate.applies && (rate.stands ?? 'for the season') === 'for the season')).toBe(true);
		const given = answer.rates.filter(({ applies, nutrient, stands }) => applies && nutrient === 'P2O5' && !stands);
		expect(rows.filter(({ nutrient }) => nutrient === 'P2O5')).toHaveLength(given.length);
		const parts = answer.rates.map((rate) => ({ ...rate, stands: 'from now on' as const }));
		expect(advisedThen({ rates: parts }, balanceOf(150))).toEqual([]);
	});

	it('has nothing to say of a year without its harvest', () => {
		expect(advisedThen(answer, balanceOf(undefined))).toEqual([]);
	});
});
