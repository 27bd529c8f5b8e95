// How often the interval of the optimum holds the true one, over simulated trials; and where there is none.
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import type { Observation, ResponseModelName } from '../../../schema-types';
import { fitTrial } from './answer-fit';
import { withoutBlocks } from './block-term';
import { responseModel } from './shapes/models';

const RATES = [0, 40, 80, 120, 160, 200];
const PRICE_RATIO = 0.12;
const TRUTHS: { model: ResponseModelName; p: Float64Array }[] = [
	{ model: 'quadratic-plateau', p: Float64Array.of(90, 1.25, -0.0042) },
	{ model: 'linear-plateau', p: Float64Array.of(90, 0.8, 120) },
	{ model: 'quadratic', p: Float64Array.of(90, 1, -0.003) },
	{ model: 'mitscherlich', p: Float64Array.of(190, 100, 0.016) }
];

/** Four blocks that differ by 12 bu, plots by 8. */
function trialOf({ model, p }: (typeof TRUTHS)[number], seed: number, blocks = 4, rates = RATES): Observation[] {
	const random = xoroshiro128plus(seed);
	const uniform = () => uniformFloat64(random);
	const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
	return Array.from({ length: blocks }, (_, block) => ({ block, effect: 12 * normal() })).flatMap(({ block, effect }) =>
		rates.map((rate) => ({ rate, block, yield: responseModel(model).yieldAt(p, rate) + effect + 8 * normal() }))
	);
}

describe('the 90 % interval of the optimum, four blocks of six rates', () => {
	it('holds the true one in 85 to 95 of 100 simulated trials, in 80 and more of the 40 of each shape', () => {
		let held = 0;
		let given = 0;
		for (const truth of TRUTHS) {
			const optimum = responseModel(truth.model).economicOptimum(truth.p, PRICE_RATIO);
			let ofShape = 0;
			const before = given;
			for (let seed = 1; seed <= 40; seed++) {
				const answer = fitTrial({ observations: trialOf(truth, seed), priceRatio: PRICE_RATIO, replicates: 300 });
				if (!answer.eonrInterval) continue;
				given++;
				const [low, high] = answer.eonrInterval as [number, number];
				if (low - 0.5 <= optimum && optimum <= high + 0.5) ofShape++;
			}
			// Of 150 trials of each shape 88 to 100 in a hundred do: the join of a linear-plateau is found wider than need be.
			expect(ofShape / (given - before), truth.model).toBeGreaterThanOrEqual(0.8);
			held += ofShape;
		}
		expect(given).toBeGreaterThan(120);
		expect(held / given).toBeGreaterThanOrEqual(0.85);
		expect(held / given).toBeLessThanOrEqual(0.95);
	});

	it('is not given with two blocks or four rates, and says why', () => {
		const of = (blocks: number, rates: number[]) =>
			fitTrial({ observations: trialOf(TRUTHS[0]!, 3, blocks, rates), priceRatio: PRICE_RATIO, replicates: 100 });
		expect(of(2, RATES).noInterval).toBe('2 blocks are too few for an interval of the optimum; it takes 3');
		expect(of(2, RATES).eonrInterval).toBeUndefined();
		expect(of(6, [0, 60, 120, 200]).noInterval).toContain('4 rates are too few');
		expect(of(3, RATES).noInterval).toBeUndefined();
		expect(of(3, RATES).eonrInterval).toBeDefined();
	});
});

describe('shapes that the plots do not tell apart', () => {
	it('are all shown, and the rate is a span', () => {
		const answer = fitTrial({ observations: trialOf(TRUTHS[2]!, 11), priceRatio: PRICE_RATIO, replicates: 0 });
		const score = (model: ResponseModelName) => answer.fits.find((fit) => fit.model === model)!.aicc!;
		expect(answer.rivals!.length).toBeGreaterThan(1);
		expect(answer.rivals![0]!.model).toBe(answer.best);
		for (const { model } of answer.rivals!) expect(score(model) - score(answer.best!)).toBeLessThanOrEqual(2);
		const [low, high] = answer.eonrSpan as [number, number];
		expect(low).toBeLessThan(high);
		expect(low).toBeLessThanOrEqual(answer.eonr!);
		expect(high).toBeGreaterThanOrEqual(answer.eonr!);
	});
	it('are none where one stands alone', () => {
		const sharp = trialOf(TRUTHS[1]!, 2).map((one) => ({
			...one,
			yield:
				responseModel('linear-plateau').yieldAt(TRUTHS[1]!.p, one.rate) + 0.2 * Math.sin(one.rate + Number(one.block))
		}));
		expect(fitTrial({ observations: sharp, priceRatio: PRICE_RATIO, replicates: 0 }).rivals).toBeUndefined();
	});
});

it('block effects come out where plots are missing', () => {
	const effects = [-10, 0, 10];
	const full = effects.flatMap((effect, block) =>
		RATES.map((rate) => ({ rate, block, yield: 100 + rate / 4 + effect }))
	);
	const { observations, freedom } = withoutBlocks(full.filter((_, at) => at !== 2 && at !== 13));
	expect(freedom).toBe(2);
	for (const one of observations) expect(one.yield).toBeCloseTo(100 + one.rate / 4, 6);
	const bare = [{ rate: 0, yield: 1 }];
	expect(withoutBlocks(bare)).toEqual({ observations: bare, freedom: 0 });
});
