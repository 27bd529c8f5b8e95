import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../check/problem';
import type { Layer, Result, Sample } from '../schema-types';
import { cornRequest, library } from '../testing.test-help';
import { advise, siteOf } from '../rates/advise';
import { baseSaturation, cationExchangeCapacity } from './soil/cec';
import { mineralNitrogen } from './soil/mineral-nitrogen';
import { soilNitrate } from './soil/soil-pounds';
import { readResult } from './soil/read-result';
import { allResults } from './soil/all-results';
import { readTrends } from './soil/trends';
import { readProfile } from './soil/acid-layers';
import { readSoilPh } from './soil/ph-scale';
import { readResponseCurve } from './response-curve';
import { soilLayers } from './soil/soil-layers';

const sample = (...layers: [top: number, bottom: number, results: Result[], unit?: 'in' | 'cm'][]): Sample => ({
	layers: layers.map(([top, bottom, results, depthUnit = 'in']): Layer => ({ top, bottom, depthUnit, results }))
});
const potassium = (value: number, unit: Result['unit'], qualifier?: '<' | '>'): Result => ({
	analyte: 'K',
	method: 'ammonium-acetate',
	value,
	unit,
	...(qualifier ? { qualifier } : {})
});
const valueOf = (results: Result[], depthIn = 8) => {
	const answer = readResult(soilLayers(sample([0, depthIn, results])), results[0]!.analyte);
	return answer.applies ? answer.value : NaN;
};

describe('a result is read in ppm', () => {
	it('from pounds per acre by the depth of the layer, or by the old habit of ppm x 2', () => {
		expect(valueOf([potassium(240, 'lb/ac')], 8)).toBeCloseTo(100, 9);
		expect(valueOf([potassium(240, 'lb/ac-furrow')], 8)).toBe(120);
		expect(valueOf([potassium(200, 'lb/ac')], 20 / 3)).toBeCloseTo(100, 9);
	});

	it('from kg/ha and from meq/100 g', () => {
		expect(valueOf([potassium(240 * 1.1208511, 'kg/ha')], 8)).toBeCloseTo(100, 4);
		expect(valueOf([potassium(0.5, 'meq/100g')])).toBe(195.5);
	});

	it('as half the limit where the lab says "<", with a caution', () => {
		const answer = readResult(soilLayers(sample([0, 6, [potassium(10, 'ppm', '<')]])), 'K');
		expect(answer).toMatchObject({ applies: true, value: 5 });
		expect(answer.applies && answer.cautions[0]).toContain('only as below 10 ppm');
	});

	it('pounds and ppm agree in any layer', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 900, noNaN: true }),
				fc.double({ min: 1, max: 36, noNaN: true }),
				(ppm, depthIn) => {
					expect(valueOf([potassium(ppm * 0.3 * depthIn, 'lb/ac')], depthIn)).toBeCloseTo(ppm, 6);
				}
			)
		);
	});
});

describe('a sample is refused that cannot be read one way only', () => {
	const problems = (given: Sample) => {
		try {
			soilLayers(given);
		} catch (error) {
			if (error instanceof InputError) return error.problems;
		}
		return [];
	};
	it('upside down', () => expect(problems(sample([8, 0, []]))[0]?.path).toBe('/sample/layers/0/bottom'));
	it('a doubled result', () => {
		const [problem] = problems(sample([0, 8, [potassium(1, 'ppm'), potassium(2, 'ppm')]]));
		expect(problem).toMatchObject({ path: '/sample/layers/0/results/1' });
	});
	it('a unit or method that no lab uses for the analyte', () => {
		expect(problems(sample([0, 8, [{ analyte: 'pH', value: 6, unit: 'ppm' }]]))[0]?.path).toBe(
			'/sample/layers/0/results/0/unit'
		);
		expect(problems(sample([0, 8, [{ analyte: 'K', method: 'smp', value: 6, unit: 'ppm' }]]))[0]?.path).toBe(
			'/sample/layers/0/results/0/method'
		);
	});
});

describe('CEC', () => {
	const bases: Result[] = [
		{ analyte: 'Ca', value: 2004, unit: 'ppm' },
		{ analyte: 'Mg', value: 243, unit: 'ppm' },
		{ analyte: 'K', value: 195.5, unit: 'ppm' }
	];
	const cec = (...more: Result[]) => cationExchangeCapacity(soilLayers(sample([0, 8, [...bases, ...more]])));

	it('is the measured one where there is one', () => {
		expect(cec({ analyte: 'CEC', value: 11, unit: 'meq/100g' })).toMatchObject({ value: 11, basis: 'measured' });
	});
	it('counts no acidity at or above a buffer pH of 7, or at a soil pH of 7 without one', () => {
		expect(cec({ analyte: 'bufferPh', method: 'smp', value: 7.2, unit: 'pH' })).toMatchObject({ value: 12.5 });
		expect(cec({ analyte: 'pH', method: 'water', value: 7, unit: 'pH' })).toMatchObject({ value: 12.5 });
	});
	it('does not apply on acid ground without a buffer pH', () => {
		expect(cec({ analyte: 'pH', method: 'water', value: 6.9, unit: 'pH' })).toMatchObject({ applies: false });
	});
	it('by a Mehlich buffer takes its own acidity', () => {
		const answer = cec({ analyte: 'bufferPh', method: 'mehlich', value: 6.1, unit: 'pH' });
		expect(answer.applies && answer.value).toBeCloseTo(14.5, 9);
	});
	it('warns of free lime', () => {
		const answer = cec({ analyte: 'pH', method: 'water', value: 7.8, unit: 'pH' });
		expect(answer.applies && answer.cautions[0]).toContain('reads high');
	});
	it('gives shares of the exchange', () => {
		const measured = cec({ analyte: 'CEC', value: 20, unit: 'meq/100g' });
		const shares = baseSaturation(soilLayers(sample([0, 8, bases])), measured);
		expect([shares.Ca?.value, shares.Mg?.value, shares.K?.value, shares.Na]).toEqual([50, 10, 2.5, undefined]);
	});
});

describe('nitrate', () => {
	const ppm = (value: number): Result[] => [{ analyte: 'NO3-N', value, unit: 'ppm' }];
	it('is summed over layers, cut off at the depth', () => {
		const layers = soilLayers(sample([0, 12, ppm(10)], [12, 36, ppm(5)]));
		const nitrate = soilNitrate(layers, 24);
		expect(nitrate.applies && nitrate.value).toBeCloseTo(36 + 18, 9);
	});
	it('does not count a layer twice that overlaps, and stops at a gap', () => {
		const overlapping = soilNitrate(soilLayers(sample([0, 12, ppm(10)], [0, 24, ppm(10)])), 24);
		expect(overlapping.applies && overlapping.value).toBeCloseTo(72, 9);
		expect(soilNitrate(soilLayers(sample([0, 6, ppm(10)], [12, 24, ppm(10)])), 24).applies).toBe(false);
	});
	it('in the room of the ground counts what was sampled, and says how deep', () => {
		const held = mineralNitrogen(soilLayers(sample([0, 12, ppm(10)])));
		expect(held.applies && held.value).toBeCloseTo(36, 9);
		expect(held.applies && held.cautions[0]).toContain('only to 12 in');
	});
});

describe('the response curve', () => {
	it('rises from nothing to full, with the soil on it', () => {
		const curve = readResponseCurve(siteOf(cornRequest(), library, '2026-11-20'), library.packs, 'P');
		expect(curve.soilTest?.value).toBe(10);
		expect(curve.criticalLevel?.value).toBe(15);
		expect(curve.points[0]).toEqual([0, 0]);
		for (let at = 1; at < curve.points.length; at++)
			expect(curve.points[at]![1]).toBeGreaterThan(curve.points[at - 1]![1]);
		expect(curve.here.applies && curve.here.value).toBeLessThan(95);
	});
	it('does not apply to a crop without a critical level', () => {
		const request = { ...cornRequest(), crop: { id: 'flax' as const, yieldGoal: 25 } };
		const curve = readResponseCurve(siteOf(request, library, '2026-11-20'), library.packs, 'P');
		expect(curve).toMatchObject({ here: { applies: false }, points: [] });
	});
});

describe('the whole report', () => {
	const layers = soilLayers(
		sample(
			[0, 8, [potassium(240, 'lb/ac'), { analyte: 'pH', value: 6.1, unit: 'pH' }]],
			[0, 24, [{ analyte: 'NO3-N', value: 5, unit: 'ppm', qualifier: '<' }]]
		)
	);
	it('stands line by line, as written and as read', () => {
		const lines = allResults(layers);
		expect(lines.map(({ name, depthText }) => `${name} ${depthText}`)).toEqual([
			'potassium 0-8 in',
			'soil pH 0-8 in',
			'nitrate-N 0-24 in'
		]);
		expect(lines[0]).toMatchObject({ method: 'ammonium acetate', written: { value: 240 }, read: { applies: true } });
		expect(lines[0]!.read.applies && lines[0]!.read.value).toBeCloseTo(100, 9);
		expect(lines[1]?.method).toBe('water (1:1), not named');
		expect(lines[2]!.read.applies && lines[2]!.read.value).toBe(2.5);
	});
});

describe('over the years', () => {
	const on = (date: string, value: number, method: 'water' | 'cacl2' = 'water', bottom = 8): Sample => ({
		date,
		...sample([0, bottom, [{ analyte: 'pH', method, value, unit: 'pH' }]])
	});
	it('holds only like against like, in order of date', () => {
		const trends = readTrends([on('2026-10-01', 5.6), on('2020-10-01', 6.2), on('2023-10-01', 5.9)], 'us');
		expect(trends).toHaveLength(1);
		expect(trends[0]).toMatchObject({ label: 'soil pH, water (1:1), 0-8 in', unit: 'pH' });
		expect(trends[0]!.points.map(({ value }) => value)).toEqual([6.2, 5.9, 5.6]);
	});
	it('draws nothing from one date, another scale, another depth or a sample without a date', () => {
		expect(readTrends([on('2026-10-01', 5.6)], 'us')).toEqual([]);
		expect(readTrends([on('2026-10-01', 5.6), on('2023-10-01', 5.1, 'cacl2')], 'us')).toEqual([]);
		expect(readTrends([on('2026-10-01', 5.6), on('2023-10-01', 5.6, 'water', 6)], 'us')).toEqual([]);
		const { layers } = on('2023-10-01', 5.7);
		expect(readTrends([on('2026-10-01', 5.6), { layers }], 'us')).toEqual([]);
	});
});

describe('pH by depth', () => {
	const profile = (...values: number[]) =>
		readProfile(
			soilLayers(
				sample(
					...values.map((value, index): [number, number, Result[], 'cm'] => [
						index * 5,
						index * 5 + 5,
						[{ analyte: 'pH', method: 'cacl2', value, unit: 'pH' }],
						'cm'
					])
				)
			)
		);
	it('marks what is acid and what is hidden', () => {
		const { scale, layers, hidden } = profile(5.9, 4.7, 4.6, 5.0);
		expect(scale).toBe('cacl2');
		expect(layers.map(({ acid }) => acid)).toEqual([false, true, true, true]);
		expect(layers.map(({ aluminium }) => aluminium)).toEqual([false, true, true, false]);
		expect(hidden).toHaveLength(3);
	});
	it('hides nothing where the surface is as acid as what lies below', () => {
		expect(profile(4.7, 4.6).hidden).toEqual([]);
		expect(profile(4.7).hidden).toEqual([]);
	});
	it('gives a pH on its own scale only', () => {
		const layers = soilLayers(sample([0, 8, [{ analyte: 'pH', method: 'cacl2', value: 5.2, unit: 'pH' }]]));
		expect(readSoilPh(layers, 'cacl2')).toMatchObject({ applies: true, value: 5.2 });
		const water = readSoilPh(layers, 'water');
		expect(water).toMatchObject({ applies: false });
		expect(!water.applies && water.reason).toContain('pH 5.2 in CaCl2');
	});
});

describe('bridges between lab methods', () => {
	const asked = (results: Result[]) => {
		const request = { ...cornRequest(), sample: sample([0, 8, results]) };
		return advise(request, library, '2026-11-20').rates.find(({ method }) => method === 'tri-state-1995/phosphorus')!;
	};
	const mehlich = (value: number): Result => ({ analyte: 'P', method: 'mehlich-3', value, unit: 'ppm' });
	it('give an approximation, marked as such (Mehlich-3 P / 1.35, bulletin 974, memory)', () => {
		const rate = asked([mehlich(13.5), { analyte: 'pH', method: 'water', value: 6.2, unit: 'pH' }]);
		expect(rate.rate).toBeCloseTo(84.2, 9);
		expect(rate.approximate).toBe('Bray P1 taken as Mehlich-3 / 1.35');
	});
	it('are not crossed on calcareous soil, nor where the method itself was measured', () => {
		const calcareous = asked([mehlich(13.5), { analyte: 'pH', method: 'water', value: 7.8, unit: 'pH' }]);
		expect(calcareous.reason).toContain('Bray P1 reads wrong on calcareous soil');
		const carbonate = asked([mehlich(13.5), { analyte: 'carbonate', value: 4, unit: '%' }]);
		expect(carbonate.applies).toBe(false);
		const own = asked([mehlich(99), { analyte: 'P', method: 'bray-p1', value: 10, unit: 'ppm' }]);
		expect(own).toMatchObject({ rate: 84.2 });
		expect(own.approximate).toBeUndefined();
	});
	it('do not exist from Colwell', () => {
		const rate = asked([{ analyte: 'P', method: 'colwell', value: 30, unit: 'ppm' }]);
		expect(rate).toMatchObject({ applies: false, rate: null });
	});
});

it('takes the lab’s own shares of CEC where it gives them alone', () => {
	const layers = soilLayers(
		sample([
			0,
			8,
			[
				{ analyte: 'CEC', value: 10, unit: 'meq/100g' },
				{ analyte: 'satMg', value: 8, unit: '%' },
				{ analyte: 'Ca', value: 1002, unit: 'ppm' }
			]
		])
	);
	const shares = baseSaturation(layers, cationExchangeCapacity(layers));
	expect(shares.Mg?.value).toBe(8);
	expect(shares.Ca?.value).toBeCloseTo(50, 9);
	expect(shares.K).toBeUndefined();
});
