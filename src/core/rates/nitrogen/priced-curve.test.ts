import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figure, type Figure } from '../../figure/figure';
import { library } from '../../testing.test-help';
import { pricedCurve } from './priced-curve';
import { coefficientsOf } from './response/shapes/models';
import { returnToNitrogen, testedCurve, type TestedCurve } from './response/returns';

const corn = library.crops.find(({ id }) => id === 'corn-grain')!;
const words = { basis: 'measured', citation: 'a trial', yieldUnit: 'bu/ac' } as const;
const plateau = testedCurve(
	'quadratic-plateau',
	coefficientsOf({ model: 'quadratic-plateau', coefficients: { a: 100, b: 1, c: -0.0025 } }),
	0,
	260
);
const price = (value: number, unit: string): Figure => figure({ label: 'price', value, unit, basis: 'adviser' });
function at(curve: TestedCurve, grain: number, nitrogen: number, tolerance = 5) {
	const given = figure({ label: 'may be given up', value: tolerance, unit: '$/ac', basis: 'adviser' });
	return pricedCurve(
		curve,
		{ grain: price(grain, '$ per bu'), nitrogen: price(nitrogen, '$ per lb') },
		corn,
		given,
		words
	);
}

describe('a curve at one pair of prices', () => {
	it('gives three objectives, each with yield, return and balance', () => {
		const { outcomes } = at(plateau, 4, 0.5);
		expect(outcomes.mostYield?.rate.value).toBeCloseTo(200, 9);
		expect(outcomes.mostProfit?.rate.value).toBeCloseTo(175, 9);
		const best = outcomes.mostProfit!;
		expect(best.yield.value).toBeCloseTo(100 + 175 - 0.0025 * 175 ** 2, 9);
		expect(best.returns.value).toBeCloseTo((best.yield.value - 100) * 4 - 175 * 0.5, 9);
		expect(best.balance).toMatchObject({ value: expect.closeTo(175 - best.yield.value * 0.67, 9) });
		// The return falls by $5 where 4 x 0.0025 (175 - N)^2 = 5.
		expect(outcomes.leastLeft?.rate.value).toBeCloseTo(175 - Math.sqrt(500), 6);
	});

	it('prices a miss of 50 lb on either side, in dollars and in pounds', () => {
		const { tooMuch, tooLittle, outcomes } = at(plateau, 4, 0.5);
		const back = (rate: number) => returnToNitrogen(plateau, { grain: 4, nitrogen: 0.5 }, rate);
		expect(tooMuch.dollars).toMatchObject({ value: expect.closeTo(back(175) - back(225), 9) });
		expect(tooLittle.dollars).toMatchObject({ value: expect.closeTo(4 * 0.0025 * 2500, 9) });
		const more = 50 - (200 - outcomes.mostProfit!.yield.value) * 0.67;
		expect(tooMuch.leftBehind).toMatchObject({ value: expect.closeTo(more, 9) });
		expect(tooLittle.leftBehind).toMatchObject({ value: expect.closeTo(50 - 0.67 * 12.5, 9) });
	});

	it('says what was not tested instead of a number', () => {
		const short = { ...plateau, highest: 210 };
		expect(at(short, 4, 0.5).tooMuch.dollars).toMatchObject({
			applies: false,
			reason: '225 lb was not tested (0 to 210)'
		});
		const rising = at({ ...plateau, highest: 120 }, 4, 0.5);
		expect(rising.outcomes.mostProfit).toBeUndefined();
		expect(rising.within1).toBeUndefined();
		expect(rising.tooLittle.dollars).toMatchObject({ applies: false });
	});

	it('dearer nitrogen with much dearer grain pays better at the same rate, and a miss costs less', () => {
		const [before, now] = [
			{ grain: 3.6, nitrogen: 0.4 },
			{ grain: 6.5, nitrogen: 0.7 }
		];
		expect(returnToNitrogen(plateau, now, 170)).toBeGreaterThan(returnToNitrogen(plateau, before, 170));
		// Over-application at 220 lb against the best of its year: nitrogen a little dearer, grain twice as dear.
		const lost = (grain: number, nitrogen: number) => {
			const best = at(plateau, grain, nitrogen).outcomes.mostProfit!.rate.value;
			return returnToNitrogen(plateau, { grain, nitrogen }, best) - returnToNitrogen(plateau, { grain, nitrogen }, 190);
		};
		expect(lost(8, 0.55)).toBeLessThan(lost(4, 0.5));
	});

	it('holds its order for any prices: least left <= economic optimum <= maximum yield, the bands around the best', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 12, noNaN: true }),
				fc.double({ min: 0.05, max: 0.9, noNaN: true }),
				fc.double({ min: 0, max: 30, noNaN: true }),
				(grain, nitrogen, tolerance) => {
					const { outcomes, within1, within5 } = at(plateau, grain, nitrogen, tolerance);
					const best = outcomes.mostProfit!.rate.value;
					expect(outcomes.leastLeft!.rate.value).toBeLessThanOrEqual(best + 1e-9);
					expect(best).toBeLessThanOrEqual(outcomes.mostYield!.rate.value + 1e-9);
					expect(within5![0]).toBeLessThanOrEqual(within1![0]);
					expect(within1![1]).toBeLessThanOrEqual(within5![1]);
					for (let rate = 0; rate <= 260; rate += 13) {
						const back = returnToNitrogen(plateau, { grain, nitrogen }, rate);
						expect(back).toBeLessThanOrEqual(outcomes.mostProfit!.returns.value + 1e-9);
					}
				}
			)
		);
	});
});
