import { describe, expect, it } from 'vitest';
import { InputError } from '../../check/problem';
import { isRateRule, siteOf } from '../../rates/advise';
import { SiteReading } from '../../reading/site-reading';
import { inputReaders } from '../../rates/input-readers';
import { ratesOfMany, type ManyRates } from '../../rates/rates-of-many';
import { applyRule } from '../../reading/apply-rule';
import type { Site } from '../../reading/site';
import { possibleRange } from '../../ground/possible-range';
import type { AdviseRequest, Analyte, Result } from '../../schema-types';
import { cornRequest, library } from '../../testing.test-help';
import { zoneRequest } from '../zone-request';
import { ZONE_ANALYTES, type ZoneAnalyte } from '../zone-means';
import { rateSurface } from './rate-surface';
import type { CellValues } from './regions';

const TODAY = '2026-11-23';
/** Where cells are drawn from: usual soil, past what a guide, a method or a soil allows, and past what can be. */
const DRAWN: Record<ZoneAnalyte, readonly [number, number]> = {
	pH: [4.2, 8.6],
	bufferPh: [5.4, 7.6],
	P: [0, 120],
	K: [20, 600],
	Mg: [10, 600],
	Ca: [200, 6000],
	OM: [0.3, 32],
	CEC: [2, 45]
};
/** One cell in so many has a value that no soil has. */
const SLIP = 24;

/** Seeded numbers from 0 to 1. */
function chance(seed: number): () => number {
	return () => (seed = (seed * 16807) % 2147483647) / 2147483647;
}

/** A report that holds every value that a cell may have. */
function wholeReport(): AdviseRequest {
	const request = cornRequest();
	const { results } = request.sample.layers[0]!;
	const usual = { pH: 6, bufferPh: 6.6, P: 20, K: 140, Mg: 150, Ca: 1500, OM: 3, CEC: 14 };
	const units = {
		P: 'ppm',
		K: 'ppm',
		Mg: 'ppm',
		Ca: 'ppm',
		OM: '%',
		CEC: 'meq/100g',
		pH: 'pH',
		bufferPh: 'pH'
	} as const;
	for (const analyte of ZONE_ANALYTES) {
		if (results.some((result) => result.analyte === analyte)) continue;
		results.push({ analyte, value: usual[analyte], unit: units[analyte] });
	}
	request.sample.layers.push({
		top: 0,
		bottom: 24,
		depthUnit: 'in',
		results: [{ analyte: 'NO3-N', value: 6, unit: 'ppm' }]
	});
	return request;
}

/** Fields whose reports differ in method, in unit, and in what they hold. */
function fields(): [string, AdviseRequest][] {
	const changed = (edit: (result: Result) => Result, ...without: Analyte[]): AdviseRequest => {
		const request = wholeReport();
		const [first] = request.sample.layers;
		first!.results = first!.results.filter(({ analyte }) => !without.includes(analyte)).map(edit);
		return request;
	};
	const same = (result: Result) => result;
	return [
		['Bray P1 and CEC measured', changed(same)],
		['CEC by summation', changed(same, 'CEC')],
		['CEC by summation without a buffer pH', changed(same, 'CEC', 'bufferPh')],
		[
			'Mehlich-3, in lb/ac',
			changed((result) =>
				result.analyte === 'P' || result.analyte === 'K' ? { ...result, method: 'mehlich-3', unit: 'lb/ac' } : result
			)
		],
		[
			'Olsen, pH in CaCl2, Mehlich buffer, CEC by summation',
			changed((result) => {
				if (result.analyte === 'P') return { ...result, method: 'olsen' };
				if (result.analyte === 'bufferPh') return { ...result, method: 'mehlich' };
				return result.analyte === 'pH' ? { ...result, method: 'cacl2' } : result;
			}, 'CEC')
		]
	];
}

function drawn(count: number, keys: readonly ZoneAnalyte[], next: () => number): CellValues {
	return Object.fromEntries(
		keys.map((key) => {
			const [low, high] = DRAWN[key];
			const most = possibleRange(key)?.[1] ?? high;
			const one = () => (next() < 1 / SLIP ? most * 1.5 : low + next() * (high - low));
			return [key, Float64Array.from({ length: count }, one)];
		})
	);
}

/** The field with another crop on it, at that crop's usual goal. */
function grown(request: AdviseRequest, id: AdviseRequest['crop']['id']): AdviseRequest {
	const yieldGoal = library.crops.find((crop) => crop.id === id)!.usualGoal!;
	return { ...request, crop: { ...request.crop, id, yieldGoal } };
}

describe('cells obey what fields obey', () => {
	const CELLS = 140;
	const crops = ['corn-grain', 'soybean', 'winter-wheat'] as const;
	const cases = fields().flatMap(([name, request]) => crops.map((crop) => [name, crop, grown(request, crop)] as const));

	it.each(cases)(
		'%s, %s: by every method a cell has the rate of a field like it, or neither has one',
		(_, id, request) => {
			const rules = library.packs.rules.filter(
				(rule) => isRateRule(rule) && !rule.kind.byZone && !rule.kind.test && rule.parametersFor(id) !== undefined
			);
			expect(rules.length).toBeGreaterThan(10);
			const next = chance(request.sample.layers[0]!.results.length + id.length);
			const cells = drawn(CELLS, ZONE_ANALYTES, next);
			// From a poor goal to one that no field brings.
			cells.yieldGoal = Float64Array.from({ length: CELLS }, () => request.crop.yieldGoal * (0.3 + 5 * next()));
			const requests = Array.from({ length: CELLS }, (_, cell) => {
				const values = Object.fromEntries(ZONE_ANALYTES.map((one) => [one, cells[one]![cell]!]));
				const facts = { values, yieldGoal: cells.yieldGoal![cell]! };
				return zoneRequest(request, { name: '', areaAcres: 1, facts, means: {} }).request;
			});
			const sites = requests.map(siteOrUndefined);
			const possible = requests.filter((_, cell) => sites[cell] !== undefined);
			const many = numbersOf(possible);
			const wrong: string[] = [];
			let [rated, refused] = [0, 0];
			for (const rule of rules) {
				const surface = rateSurface(request, rule.method, cells, library, TODAY);
				if (typeof surface === 'string') throw new Error(surface);
				const column = many.methods.indexOf(rule.method);
				let row = 0;
				sites.forEach((site, cell) => {
					const answer = site && applyRule(rule, new SiteReading(site, inputReaders));
					const wanted = answer?.applies ? answer.value : NaN;
					if (Number.isNaN(wanted)) refused++;
					else rated++;
					const numbers = [surface[cell]!, ...(site ? [many.rates[row++ * many.methods.length + column]!] : [])];
					for (const found of numbers) {
						const same = Object.is(found, wanted) || Math.abs(found - wanted) <= 1e-6 * Math.max(1, Math.abs(wanted));
						if (!same) wrong.push(`${rule.method} in cell ${cell}: ${found} where a field has ${wanted}`);
					}
				});
			}
			expect(wrong.slice(0, 5)).toEqual([]);
			expect(rated).toBeGreaterThan(CELLS);
			expect(refused).toBeGreaterThan(CELLS);
		}
	);

	it('says nothing by Bray P1 or of lime where pH or organic matter of a cell is not known', () => {
		const request = wholeReport();
		const cells: CellValues = {
			P: Float64Array.of(8, 8, 8),
			pH: Float64Array.of(6, NaN, 7.8),
			OM: Float64Array.of(3, 3, 3)
		};
		const bray = rateSurface(request, 'northern-plains/phosphorus-bray', cells, library, TODAY) as Float64Array;
		expect([...bray].map(Number.isNaN)).toEqual([false, true, true]);
		const peat = { pH: Float64Array.of(5.5, 5.5, 5.5), OM: Float64Array.of(3, 26, NaN) };
		const lime = rateSurface(request, 'tri-state-1995/lime', peat, library, TODAY) as Float64Array;
		expect([...lime].map(Number.isNaN)).toEqual([false, true, true]);
	});

	it('knows the turns in the unit of the lab', () => {
		const request = wholeReport();
		const first = request.sample.layers[0]!;
		first.results = first.results.map((result) =>
			result.analyte === 'OM' ? { ...result, value: result.value * 10, unit: 'g/kg' } : result
		);
		// 20 % is 200 g/kg.
		const cells = { pH: Float64Array.of(5.5, 5.5), OM: Float64Array.of(190, 210) };
		const lime = rateSurface(request, 'tri-state-1995/lime', cells, library, TODAY) as Float64Array;
		expect([...lime].map(Number.isNaN)).toEqual([false, true]);
	});
});

/** The site of a request; undefined where the core refuses it. */
function siteOrUndefined(request: AdviseRequest): Site | undefined {
	try {
		return siteOf(request, library, TODAY);
	} catch (error) {
		if (error instanceof InputError) return undefined;
		throw error;
	}
}

function numbersOf(requests: readonly AdviseRequest[]): ManyRates {
	const run = ratesOfMany(requests, requests.length, library, TODAY);
	for (;;) {
		const step = run.next();
		if (step.done) return step.value;
	}
}
