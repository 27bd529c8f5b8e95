import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AdviseRequest } from '../schema-types';
import { cornRequest, library } from '../testing.test-help';
import { advise } from './advise';
import { ratesOfMany } from './rates-of-many';

const TODAY = '2026-11-20';

function runAll(requests: AdviseRequest[], step?: number) {
	const run = ratesOfMany(requests, requests.length, library, TODAY, step);
	const progress = [];
	for (;;) {
		const next = run.next();
		if (next.done) return { ...next.value, progress };
		progress.push(next.value);
	}
}

const anySample: fc.Arbitrary<AdviseRequest> = fc
	.record({
		ph: fc.double({ min: 4.5, max: 8.2, noNaN: true }),
		phMethod: fc.constantFrom('water' as const, 'cacl2' as const),
		buffer: fc.option(fc.double({ min: 5.6, max: 7, noNaN: true }), { nil: undefined }),
		P: fc.double({ min: 1, max: 90, noNaN: true }),
		pMethod: fc.constantFrom('bray-p1' as const, 'olsen' as const, 'mehlich-3' as const),
		K: fc.double({ min: 20, max: 400, noNaN: true }),
		cec: fc.option(fc.double({ min: 3, max: 30, noNaN: true }), { nil: undefined }),
		clay: fc.option(fc.double({ min: 3, max: 60, noNaN: true }), { nil: undefined }),
		crop: fc.constantFrom('corn-grain' as const, 'soybean' as const, 'winter-wheat' as const, 'canola' as const),
		nitrogenRate: fc.option(fc.double({ min: 0, max: 250, noNaN: true }), { nil: undefined })
	})
	.map(({ ph, phMethod, buffer, P, pMethod, K, cec, clay, crop, nitrogenRate }) => {
		const results: AdviseRequest['sample']['layers'][number]['results'] = [
			{ analyte: 'pH', method: phMethod, value: ph, unit: 'pH' },
			{ analyte: 'P', method: pMethod, value: P, unit: 'ppm' },
			{ analyte: 'K', method: 'ammonium-acetate', value: K, unit: 'ppm' },
			{ analyte: 'OM', value: 2.5, unit: '%' }
		];
		if (buffer !== undefined) results.push({ analyte: 'bufferPh', method: 'smp', value: buffer, unit: 'pH' });
		if (cec !== undefined) results.push({ analyte: 'CEC', value: cec, unit: 'meq/100g' });
		if (clay !== undefined) results.push({ analyte: 'clay', value: clay, unit: '%' });
		const base = cornRequest();
		return {
			...base,
			sample: { date: '2026-10-01', layers: [{ top: 0, bottom: 8, depthUnit: 'in' as const, results }] },
			crop: { ...base.crop, id: crop },
			...(nitrogenRate === undefined ? {} : { nitrogenRate })
		};
	});

describe('rates of many sites at once', () => {
	it('are the same numbers as advice on each, and none where advice gives none', () => {
		fc.assert(
			fc.property(fc.array(anySample, { minLength: 1, maxLength: 4 }), (requests) => {
				const { methods, rates } = runAll(requests);
				for (const [row, request] of requests.entries()) {
					const { rates: single } = advise(request, library, TODAY);
					for (const [column, method] of methods.entries()) {
						const value = rates[row * methods.length + column]!;
						const one = single.find((rate) => rate.method === method)!;
						if (one.rate === null) expect(value, method).toBeNaN();
						else expect(value, method).toBeCloseTo(one.rate, 6);
					}
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('count the findings of the reading', () => {
		const limed = cornRequest();
		limed.sample.layers[0]!.results[0]!.value = 6.5;
		const { findings } = runAll([cornRequest(), cornRequest(), limed]);
		expect(findings['ph-low']).toBe(2);
	});

	it('tell the progress after every step, so that the caller can leave off', () => {
		const { progress } = runAll(Array.from({ length: 7 }, cornRequest), 3);
		expect(progress).toEqual([
			{ done: 3, total: 7 },
			{ done: 6, total: 7 }
		]);
	});
});
