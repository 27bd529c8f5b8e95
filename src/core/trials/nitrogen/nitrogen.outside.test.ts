// R's cor.test and lm on its dataset cars (fixtures/trials.R); balance and optimum of invented plots whose truth is known.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import { measured } from '../../figure/measured';
import { removalOf } from '../../season/plan/balance/nutrient-balance';
import type { TrialRecord } from '../../schema-types';
import { layOut } from '../design/lay-out';
import { rateOf } from '../design/treatments';
import { QUARTER, RATES } from '../trial.test-help';
import { nitrogenSite, type NitrogenSite } from './nitrogen-site';
import { relationOf } from './relation';
import { nitrogenLeft } from './residual-nitrate';
import { withoutAgainstResponse } from './without-against-response';

const R = JSON.parse(readFileSync(new URL('../fixtures/trials.json', import.meta.url), 'utf8')) as {
	cars: { x: number[]; y: number[]; line: [number, number, number, number] };
};

describe('one measure against another', () => {
	it('line, r and its chance as lm and cor.test have them', () => {
		const { x, y, line } = R.cars;
		const { intercept, slope, r, p } = relationOf(x.map((one, at) => [one, y[at]!]))!;
		[intercept, slope, r].forEach((found, at) => expect(found).toBeCloseTo(line[at]!, 8));
		expect(Math.abs(p / line[3] - 1)).toBeLessThan(1e-6);
	});
	it('two points, or none that vary, have no relation', () => {
		expect(
			relationOf([
				[1, 2],
				[2, 3]
			])
		).toBeUndefined();
		expect(relationOf([1, 2, 3].map((x) => [x, 5]))).toBeUndefined();
	});
});

/** A parabola that comes level at a rate: yield without nitrogen, what nitrogen brings, where it comes level. */
const plots = (without: number, gain: number, level: number) =>
	[0, 60, 120, 150, 180, 240].flatMap((rate) => {
		const share = Math.min(1, rate / level);
		const yielded = without + gain * (2 * share - share ** 2);
		return [1, 2, 3, 4].map((block) => ({ rate, block, yield: yielded + ((block * 7 + rate) % 3) - 1 + 2 * block }));
	});
const site = (name: string, without: number, gain: number, level: number, priceRatio?: number): NitrogenSite => {
	const trial = { site: name, yieldUnit: 'bu/ac', observations: plots(without, gain, level), priceRatio };
	const found = nitrogenSite(trial);
	if (!found.applies) throw new Error(found.reason);
	return found;
};

describe('a trial of nitrogen rates from its own optimum', () => {
	it('is at most yield without prices, below it with them, and opens into the curve', () => {
		const bare = site('North', 110, 80, 190);
		expect(Math.abs(bare.optimum.value - 190)).toBeLessThan(6);
		expect(bare.optimum.label).toBe('North: rate of maximum yield');
		const priced = site('North', 110, 80, 190, 0.12);
		// f'(N) = 2 x gain / level x (1 - N / level) = ratio.
		expect(Math.abs(priced.optimum.value - 190 * (1 - (0.12 * 190) / 160))).toBeLessThan(6);
		expect(priced.optimum.inputs.at(-1)).toMatchObject({ value: 0.12, basis: 'adviser' });
		expect(priced.response!.value).toBeCloseTo(priced.yieldAtOptimum.value - priced.without!.value, 9);
		expect(priced.without!.value).toBeCloseTo(110 + 5, 0);
		for (const [at, [from]] of priced.points.entries()) {
			expect(from).toBeCloseTo([0, 60, 120, 150, 180, 240][at]! - priced.optimum.value, 9);
		}
		expect(priced.points[0]![1]).toBeCloseTo(-priced.response!.value, 9);
	});
	it('has none where the yield only rises, and says so; without a zero plot there is no response', () => {
		const rising = [0, 50, 100, 150].flatMap((rate) =>
			[1, 2, 3].map((block) => ({ rate, block, yield: 100 + rate / 2 + block }))
		);
		expect(nitrogenSite({ site: 'East', yieldUnit: 'bu/ac', observations: rising })).toMatchObject({
			applies: false,
			label: 'East',
			reason: expect.stringMatching(/still rises in a straight line/) as string
		});
		const observations = plots(110, 80, 190).filter(({ rate }) => rate > 0);
		const found = nitrogenSite({ site: 'South', yieldUnit: 'bu/ac', observations });
		expect(found).toMatchObject({ applies: true, without: undefined, response: undefined });
	});
});

describe('yield without nitrogen against the response', () => {
	it('takes three sites, and tells whether there is a relation', () => {
		const some = [site('A', 100, 80, 190), site('B', 140, 70, 150), site('C', 120, 85, 170), site('D', 150, 90, 180)];
		expect(withoutAgainstResponse(some.slice(0, 2)).text).toMatch(/^2 sites have .* takes three\.$/);
		const told = withoutAgainstResponse(some);
		expect(told.text).toMatch(/does not tell the response to it \(p 0\.\d+, 4 sites\)/);
		expect(told.r!.value).toBe(told.relation!.r);
		const falling = [90, 110, 130, 150].map((without) => site(String(without), without, 180 - without, 180));
		const found = withoutAgainstResponse(falling);
		expect(found.relation!.slope).toBeCloseTo(-1, 1);
		expect(found.text).toMatch(/^Here ground that yields more without nitrogen answers less to it/);
	});
});

describe('nitrogen left on the plots', () => {
	const corn = library.crops.find(({ id }) => id === 'corn-grain')!;
	const removed = (yielded: number) => removalOf(corn, 'N', measured('yield', yielded, 'bu/ac'), 0, library.packs);
	const perBushel = (() => {
		const one = removed(1);
		return one.applies ? one.value : 0;
	})();
	const laid = layOut(RATES, QUARTER);
	const record = (residual: (balance: number, plot: number) => number): TrialRecord => ({
		plan: RATES,
		plots: laid,
		records: laid.map((plot) => {
			const yielded = 100 + 0.5 * Math.min(150, rateOf(RATES, plot)!) + (plot.plot % 4);
			const balance = rateOf(RATES, plot)! - perBushel * yielded;
			return { plot: plot.plot, values: { yield: yielded, residualNitrate: residual(balance, plot.plot) } };
		})
	});
	it('is applied less taken off, and the share of what goes on beyond it that is found', () => {
		const {
			plots: found,
			beyond,
			hottest,
			text,
			found: share
		} = nitrogenLeft(
			record((balance, plot) => 20 + 0.4 * Math.max(0, balance) + (plot % 3) - 1),
			undefined,
			removed,
			'us'
		)!;
		expect(found).toHaveLength(24);
		const one = found.find(({ rate }) => rate === 240)!;
		expect(one.balance).toBeCloseTo(240 - one.removed, 9);
		expect(beyond!.slope).toBeCloseTo(0.4, 1);
		expect(hottest).toHaveLength(3);
		expect(hottest.every(({ rate }) => rate === 240)).toBe(true);
		expect(text).toMatch(
			/^Plots that got no more .* have (19|20)(\.\d)? lb N\/ac of nitrate left on the mean, the others \d/
		);
		expect(share!.value).toBeCloseTo(100 * beyond!.slope, 9);
		expect(share!.inputs.map(({ value }) => value)).toEqual([beyond!.count, beyond!.p]);
	});
	it('without a relation says nothing of a share; plots left out and rates of other things are not read', () => {
		const even = record((_, plot) => 20 + (plot % 5));
		const metric = nitrogenLeft(even, undefined, removed, 'metric')!;
		expect(metric.found).toBeUndefined();
		expect(metric.text).toContain('kg N/ha');
		expect(metric.hottest).toEqual([]);
		const [first, ...rest] = even.records;
		const short = { ...even, records: [{ ...first!, setAside: 'deer' }, ...rest] };
		expect(nitrogenLeft(short, undefined, removed, 'us')!.plots).toHaveLength(23);
		const kinds = { ...even, plan: { ...RATES, factors: [{ name: 'N rate', levels: RATES.factors[0]!.levels }] } };
		expect(nitrogenLeft(kinds, undefined, removed, 'us')).toBeUndefined();
	});
});
