// Ranges of annual crops: Vitosh, Johnson and Mengel 1995 (E-2567), from memory; phosphorus of soybean from 0.26 and the ratios of nitrogen to
// sulfur are common practice.
import { describe, expect, it } from 'vitest';
import type { LeafRequest, Sample } from '../../schema-types';
import { library } from '../../testing.test-help';
import { answerLeaf } from './answer-leaf';

const SOYBEAN: LeafRequest = {
	crop: 'soybean',
	part: 'Top full trifoliate  without stalk',
	stage: 'first bloom',
	results: { P: 0.24 }
};
const ask = (change: Partial<LeafRequest>) => answerLeaf({ ...SOYBEAN, ...change }, library);
const codes = (change: Partial<LeafRequest>) => ask(change).findings.map(({ code, element }) => `${code} ${element}`);

describe('ranges', () => {
	const CORN = { crop: 'corn-grain', part: 'ear leaf', stage: 'R1' } as const;
	const WHEAT = { crop: 'winter-wheat', part: 'upper leaves', stage: 'boot' } as const;
	const ALFALFA = { crop: 'alfalfa', part: 'top 6 in', stage: 'first bloom' } as const;
	it.each([
		[CORN, 'N', 2.9, 3.5],
		[CORN, 'P', 0.3, 0.5],
		[CORN, 'K', 1.91, 2.5],
		[CORN, 'Zn', 20, 70],
		[CORN, 'Fe', 21, 250],
		[SOYBEAN, 'N', 4.25, 5.5],
		[SOYBEAN, 'P', 0.26, 0.5],
		[SOYBEAN, 'K', 2.01, 2.5],
		[SOYBEAN, 'Mn', 21, 100],
		[WHEAT, 'N', 2.59, 4.0],
		[WHEAT, 'K', 1.51, 3.0],
		[WHEAT, 'S', 0.21, 0.4],
		[ALFALFA, 'N', 3.76, 5.5],
		[ALFALFA, 'Ca', 1.76, 3.0],
		[ALFALFA, 'B', 31, 80]
	] as const)('%o, %s: from %f to %f', (sample, element, low, high) => {
		const at = (value: number) => codes({ ...sample, results: { [element]: value } });
		expect([at(low), at(high)]).toEqual([[], []]);
		expect(at(low * 0.999)).toEqual([`leaf-low ${element}`]);
		expect(at(high * 1.001)).toEqual([`leaf-high ${element}`]);
	});
	it.each([
		['winter-wheat', 'flag leaf', 'boot', 17],
		['corn-grain', 'ear leaf', 'silking', 15]
	])('%s: nitrogen above %4$d times sulfur is short of sulfur', (crop, part, stage, most) => {
		const ratio = (times: number) => codes({ crop, part, stage, results: { N: 0.22 * times, S: 0.22 } });
		expect(ratio(most + 0.1)).toContain('leaf-n-to-s S');
		expect(ratio(most - 0.1)).not.toContain('leaf-n-to-s S');
		// Short of both: the ratio blames sulfur alone for it.
		expect(codes({ crop, part, stage, results: { N: 1.2, S: 1.2 / (most + 1) } })).not.toContain('leaf-n-to-s S');
	});
});

describe('what is read', () => {
	it('another stage or part is not, and the answer says which would be', () => {
		const { readable, reason, findings } = ask({ stage: 'R5' });
		expect([readable, findings]).toEqual([false, []]);
		expect(reason).toContain('are for top full trifoliate without stalk, first bloom');
		expect(ask({ part: 'stem' }).readable).toBe(false);
		expect(ask({ stage: 'R1', part: 'trifoliate' }).readable).toBe(true);
	});
	it('a crop without ranges is not, and a crop that is none is named', () => {
		expect(ask({ crop: 'flax' })).toMatchObject({
			readable: false,
			reason: 'no ranges of flax are known',
			ranges: null
		});
		expect(() => ask({ crop: 'durian' })).toThrow('/crop "durian" is no crop');
	});
	it('palms by their age, without a stage to compare', () => {
		const palm = { crop: 'oil-palm', part: 'frond 17', stage: 'May', results: { N: 2.4 } };
		expect(ask(palm)).toMatchObject({ readable: false, reason: expect.stringContaining('as age') as string });
		expect(codes({ ...palm, age: 5 })).toEqual(['leaf-low N']);
		expect(codes({ ...palm, age: 12 })).toEqual([]);
	});
});

describe('what a finding does', () => {
	const remedyOf = (change: Partial<LeafRequest>) => ask(change).findings[0]!.remedy;
	it('annuals: a rescue only where one exists; perennials: the rate of next year, where a guide has one by the leaf', () => {
		expect(remedyOf({})).toContain('No rescue of P is known to pay');
		expect(remedyOf({ results: { Mn: 15 } })).toContain('can still be put right this season');
		const almond = { crop: 'almond', part: 'spur leaves', stage: 'July', results: { P: 0.05 } };
		expect(remedyOf(almond)).toContain('No guide here gives P for almond by the leaf');
		expect(remedyOf({ ...almond, results: { B: 20 } })).toContain('leaf-guided rate of next year');
		const apple = { crop: 'apple', part: 'leaves', stage: 'July', results: { N: 1.2 } };
		const { ranges } = ask(apple);
		expect(remedyOf({ ...apple, part: ranges!.part, stage: ranges!.when })).toContain('leaf-guided rate of next year');
	});
});

describe('a bad and a good spot', () => {
	const bad = { N: 4.6, P: 0.24, K: 2.1, S: 0.27 };
	const good = { N: 4.8, P: 0.34, K: 2.2, S: 0.28 };
	it('soybean 0.24 and 0.34 % P: phosphorus differs most relative to its range', () => {
		const { pair, findings } = ask({ results: bad, goodSpot: good });
		expect(pair!.map(({ element }) => element)).toEqual(['P', 'K', 'N', 'S']);
		expect(pair![0]!.apart).toBeCloseTo(0.1 / 0.24, 9);
		expect(findings[0]!.text).toContain('P differs most');
		expect(findings[0]!.remedy).toContain('soil sample from both spots');
	});
	it('spots that are alike are not told apart', () => {
		const { findings } = ask({ results: { ...bad, P: 0.3 }, goodSpot: { ...good, N: 4.7, P: 0.31, K: 2.15 } });
		expect(findings.map(({ code }) => code)).not.toContain('spots-differ');
	});
	const soilOf = (P: number, method: 'bray-p1' | 'olsen' = 'bray-p1'): Sample => ({
		layers: [
			{ top: 8, bottom: 24, depthUnit: 'in', results: [{ analyte: 'P', method, value: 1, unit: 'ppm' }] },
			{
				top: 0,
				bottom: 8,
				depthUnit: 'in',
				results: [
					{ analyte: 'pH', method: 'water', value: 6, unit: 'pH' },
					{ analyte: 'P', method, value: P, unit: 'ppm' }
				]
			}
		]
	});
	it.each([
		[8, 21, 'soil-agrees', 'The soil agrees: P is 8 ppm in the bad spot, 21 ppm in the good one.'],
		[18, 21, 'soil-does-not-agree', 'The soil does not show it'],
		[17.8, 21, 'soil-agrees', 'The soil agrees'],
		[30, 21, 'soil-does-not-agree', 'The soil does not show it']
	])('with P of the soil %f and %f ppm: %s', (bray, other, code, text) => {
		const { soil, findings } = ask({ results: bad, goodSpot: good, soil: { bad: soilOf(bray), good: soilOf(other) } });
		expect(soil).toEqual([
			{ analyte: 'pH', unit: 'pH', bad: 6, good: 6 },
			{ analyte: 'P', unit: 'ppm', bad: bray, good: other }
		]);
		expect(findings.map((one) => one.code).slice(0, 2)).toEqual(['spots-differ', code]);
		expect(findings[1]!.text).toContain(text);
	});
	it('soil tests by two methods are not laid side by side', () => {
		const { soil, findings } = ask({
			results: bad,
			goodSpot: good,
			soil: { bad: soilOf(8), good: soilOf(21, 'olsen') }
		});
		expect(soil!.map(({ analyte }) => analyte)).toEqual(['pH']);
		expect(findings.map(({ code }) => code).join()).not.toContain('soil');
	});
	it('at a wrong stage the same values are not compared either', () => {
		expect(ask({ results: bad, goodSpot: good, stage: 'V5' })).not.toHaveProperty('pair');
	});
});
