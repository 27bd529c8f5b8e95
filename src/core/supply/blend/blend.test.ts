import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { InputError } from '../../check/problem';
import type { BlendRequest } from '../../schema-types';
import { commonBlend } from './common-blend';
import { lpText } from './lp-text';
import { solveBlend } from './solve-blend';
import { loadSolver } from './solver';

const solver = await loadSolver();
const SHELF: BlendRequest['products'] = [
	{ id: 'urea', analysis: { N: 46 }, pricePerLb: 0.27 },
	{ id: 'map', analysis: { N: 11, P2O5: 52 }, pricePerLb: 0.38 },
	{ id: 'potash', analysis: { K2O: 60 }, pricePerLb: 0.225, chloridePercent: 47 },
	{ id: 'ams', analysis: { N: 21, S: 24 }, pricePerLb: 0.235 }
];

describe('a least-cost mix', () => {
	it('of one product for one demand is trade arithmetic: 60 lb N from 46-0-0 is 130.4 lb', () => {
		const { uses, cost, shadowPrices } = solveBlend({ products: [SHELF[0]!], demand: { N: 60 } }, solver);
		expect(uses[0]!.rate).toBeCloseTo(130.43, 2);
		expect(cost).toBeCloseTo(35.22, 2);
		// the last pound of N costs 0.27 / 0.46
		expect(shadowPrices.N).toBeCloseTo(0.587, 3);
	});
	it('says what it delivers, of other nutrients too', () => {
		const { delivered } = solveBlend({ products: SHELF, demand: { P2O5: 52 } }, solver);
		expect(delivered.P2O5).toBeCloseTo(52, 6);
		expect(delivered.N).toBeCloseTo(11, 6);
	});
	it('meets every demand within what is allowed, at the price of what it uses (property)', () => {
		const pounds = fc.double({ min: 1, max: 200, noNaN: true });
		fc.assert(
			fc.property(
				pounds,
				pounds,
				pounds,
				pounds,
				fc.option(fc.integer({ min: 2, max: 4 }), { nil: undefined }),
				(N, P2O5, K2O, S, k) => {
					const demand = { N, P2O5, K2O, S };
					const answer = solveBlend({ products: SHELF, demand, ...(k ? { maxProducts: k } : {}) }, solver);
					if (answer.status === 'infeasible') return void expect(k).toBeLessThan(4);
					for (const [nutrient, wanted] of Object.entries(demand)) {
						expect(answer.delivered[nutrient as 'N']! - wanted).toBeGreaterThan(-1e-5);
					}
					if (k) expect(answer.uses.length).toBeLessThanOrEqual(k);
				}
			),
			{ numRuns: 60 }
		);
	});
	it('in whole steps costs no less than the exact one, and is in whole steps', () => {
		const demand = { N: 97, P2O5: 43, K2O: 71, S: 13 };
		const exact = solveBlend({ products: SHELF, demand }, solver);
		const bought = solveBlend({ products: SHELF, demand, step: 5 }, solver);
		expect(bought.cost!).toBeGreaterThanOrEqual(exact.cost! - 1e-9);
		for (const { rate } of bought.uses) expect(Math.abs(rate / 5 - Math.round(rate / 5))).toBeLessThan(1e-6);
	});
});

describe('what cannot be had', () => {
	it('names a nutrient that no product holds', () => {
		const { status, conflict } = solveBlend({ products: SHELF, demand: { N: 60, Mg: 12 } }, solver);
		expect(status).toBe('infeasible');
		expect(conflict).toEqual([
			{ nutrient: 'Mg', wanted: 12, within: 0, text: 'Mg: none of these products holds any; 12 lb/ac are wanted.' }
		]);
	});
	it('names what the other demands bring along, or what a ceiling leaves', () => {
		const over = solveBlend({ products: SHELF, demand: { N: 5, P2O5: 100 }, tolerance: 0.05 }, solver);
		expect(over.conflict!.map(({ text }) => text).join()).toMatch(
			/N: 5 lb\/ac are wanted, and the other demands bring|P2O5: 100 lb\/ac are wanted/
		);
		const ceiling = solveBlend({ products: SHELF, demand: { K2O: 60 }, ceilings: { chloride: 23.5 } }, solver);
		expect(ceiling.conflict).toMatchObject([{ nutrient: 'K2O', wanted: 60 }]);
		expect(ceiling.conflict![0]!.within).toBeCloseTo(30, 4);
		expect(ceiling.conflict![0]!.text).toContain('bring 30 at most');
	});
	it('a pair or a name that makes no sense is refused with its place', () => {
		const problems = (request: BlendRequest) => {
			try {
				solveBlend(request, solver);
			} catch (error) {
				return (error as InputError).problems[0]!.path;
			}
			return '';
		};
		expect(problems({ products: SHELF, demand: { N: 1 }, apart: [['urea', 'dust']] })).toBe('/apart/0');
		expect(problems({ products: [SHELF[0]!, SHELF[0]!], demand: { N: 1 } })).toBe('/products/1/id');
	});
});

it('the LP format: both bounds are two rows, and small numbers have no exponents', () => {
	const text = lpText({
		minimise: [[0.5, 'x']],
		rows: [
			{
				name: 'r',
				terms: [
					[1e-7, 'x'],
					[-2, 'y']
				],
				least: 1,
				most: 2
			}
		],
		binaries: ['y'],
		whole: []
	});
	expect(text).toContain(' r: + 0.000000100000000 x - 2 y >= 1\n r_most: + 0.000000100000000 x - 2 y <= 2');
	expect(text).toContain('Binary\n y\nEnd');
});

describe('one mix for several fields', () => {
	const field = (name: string, acres: number, demand: BlendRequest['demand']) => ({ name, acres, demand });
	it('alike in proportion get their demands and no more', () => {
		const common = commonBlend(
			[field('a', 40, { P2O5: 50, K2O: 80 }), field('b', 20, { P2O5: 25, K2O: 40 })],
			{ products: SHELF },
			solver
		)!;
		expect(common.fields[1]!.rate).toBeCloseTo(common.fields[0]!.rate / 2, 6);
		const alone = solveBlend({ products: SHELF, demand: { P2O5: 50, K2O: 80 } }, solver).cost!;
		expect(common.cost).toBeCloseTo(alone * 40 + (alone / 2) * 20, 4);
		expect(Object.keys(common.fields[1]!.over)).toEqual(['N']);
	});
	it('unlike ones are never short, cost no less than apart, and say what is over (property)', () => {
		const pounds = fc.double({ min: 10, max: 120, noNaN: true });
		const demand = fc.record({ P2O5: pounds, K2O: pounds });
		fc.assert(
			fc.property(fc.array(demand, { minLength: 2, maxLength: 4 }), (demands) => {
				const fields = demands.map((one, at) => field(`f${at}`, 10, one));
				const common = commonBlend(fields, { products: SHELF }, solver)!;
				const apart = fields.reduce(
					(sum, { demand: own, acres }) => sum + solveBlend({ products: SHELF, demand: own }, solver).cost! * acres,
					0
				);
				expect(common.cost).toBeGreaterThanOrEqual(apart - 1e-4);
				const total = common.mix.uses.reduce((sum, { rate }) => sum + rate, 0);
				common.fields.forEach(({ rate }, at) => {
					for (const nutrient of ['P2O5', 'K2O'] as const) {
						const given = (common.mix.delivered[nutrient]! * rate) / total;
						expect(given).toBeGreaterThan(fields[at]!.demand[nutrient]! - 1e-4);
					}
				});
			}),
			{ numRuns: 25 }
		);
	});
	it('fields that want nothing in common get none', () => {
		expect(
			commonBlend([field('a', 1, { N: 10 }), field('b', 1, { K2O: 10 })], { products: SHELF }, solver)
		).toBeUndefined();
	});
});
