import { describe, expect, it } from 'vitest';
import type { CompiledRule } from '../packs/pack';
import { isRateRule, siteOf } from '../rates/advise';
import { inputReaders } from '../rates/input-readers';
import type { AdviseRequest } from '../schema-types';
import { cornRequest, cornRequestWith, library } from '../testing.test-help';
import { applyRule } from './apply-rule';
import { evaluate } from './evaluate';
import { partsOf } from './rule-parts';
import { siteInputs } from './site-inputs';
import { SiteReading } from './site-reading';
import { SampledSoil } from './soil/sampled-soil';
import { soilLayers } from './soil/soil-layers';
import { cationExchangeCapacity } from './soil/cec';
import { readResult } from './soil/read-result';

const TODAY = '2026-11-20';
const rules = library.packs.rules.filter(isRateRule);
const ruleOf = (method: string) => rules.find((rule) => rule.method === method)!;
const readingOf = (request: AdviseRequest) => new SiteReading(siteOf(request, library, TODAY), inputReaders);

/** As it lies in memory that nobody may write to. */
function frozen<T>(value: T): T {
	if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
		Object.freeze(value);
		Object.values(value).forEach(frozen);
	}
	return value;
}

const pH = (value: number) => ({ method: 'water' as const, value, unit: 'pH' as const });
const twoLayers = (): AdviseRequest => {
	const request = cornRequest();
	const [top] = request.sample.layers;
	const below = { ...top!, top: 8, bottom: 16, results: top!.results.filter(({ analyte }) => analyte === 'pH') };
	return { ...request, sample: { ...request.sample, layers: [top!, below] } };
};
const GROUNDS: Record<string, AdviseRequest> = {
	'the shipped corn': cornRequest(),
	'calcareous ground': cornRequestWith({ pH: pH(7.9), carbonate: { value: 4, unit: '%' } }),
	'organic ground': cornRequestWith({ OM: { value: 34, unit: '%' } }),
	'acid ground with clay and carbon': cornRequestWith({
		pH: { method: 'cacl2', value: 4.4, unit: 'pH' },
		OC: { value: 1.1, unit: '%' },
		clay: { value: 18, unit: '%' }
	}),
	'two layers': twoLayers(),
	'a bare report': cornRequestWith({ P: undefined, K: undefined, CEC: undefined, bufferPh: undefined }),
	'wheat with strips in two zones': {
		...cornRequest(),
		crop: { id: 'winter-wheat', yieldGoal: 80 },
		inSeason: {
			strips: {
				zones: [
					{ name: 'Knob', areaAcres: 5, yieldWithout: 30, yieldRich: 60 },
					{ name: 'Bottom', areaAcres: 15, yieldWithout: 60, yieldRich: 90 }
				]
			}
		}
	},
	'corn with its prices and what is settled': {
		...cornRequest(),
		nitrogenRate: 150,
		programme: [{ label: 'All', nitrogen: 150, placement: 'broadcast', daysFromPlanting: -5 }]
	}
};

describe.each(Object.entries(GROUNDS))('every rule on %s', (_, request) => {
	it('has the number that its worksheet ends in, or neither', () => {
		const reading = readingOf(request);
		let given = 0;
		for (const rule of rules) {
			const answer = applyRule(rule, reading);
			const number = evaluate(rule, reading);
			if (answer.applies) given++;
			expect(answer.applies ? answer.value : NaN, rule.method).toBe(number);
		}
		expect(given).toBeGreaterThan(0);
	});

	it('is the same from a request that nobody may write on, and in whatever order it is asked', () => {
		const numbers = (from: AdviseRequest, order: readonly CompiledRule[]) => {
			const reading = readingOf(from);
			return new Map(order.map((rule) => [rule.method, evaluate(rule, reading)]));
		};
		const once = numbers(request, rules);
		const again = numbers(frozen(structuredClone(request)), [...rules].reverse());
		for (const rule of rules) expect(again.get(rule.method), rule.method).toBe(once.get(rule.method));
	});
});

describe('inputs at other values', () => {
	it('stand in place of the site’s own, and leave it as it was', () => {
		const reading = readingOf(cornRequest());
		const potassium = ruleOf('tri-state-1995/potassium');
		const now = evaluate(potassium, reading);
		// 75 + 2.5 x CEC 16 is 115: the test of 120 lies above it, one of 95 lacks 20 ppm at 1 + 0.05 x 16 lb each.
		const low = evaluate(potassium, reading, { soilTest: 95 });
		expect(low - evaluate(potassium, reading, { soilTest: 115 })).toBeCloseTo(20 * 1.8, 9);
		expect(evaluate(potassium, reading, { soilTest: 120 })).toBe(now);
		expect(evaluate(potassium, reading)).toBe(now);
	});

	it('help where the report lacks them, and no other input is invented', () => {
		const bare = readingOf(cornRequestWith({ K: undefined }));
		expect(evaluate(ruleOf('tri-state-1995/potassium'), bare)).toBeNaN();
		expect(evaluate(ruleOf('tri-state-1995/potassium'), bare, { soilTest: 120 })).toBeGreaterThan(0);
		const noCec = readingOf(cornRequestWith({ K: undefined, CEC: undefined }));
		expect(evaluate(ruleOf('tri-state-1995/potassium'), noCec, { soilTest: 120 })).toBeNaN();
	});
});

describe('the parts of a site', () => {
	it('layers down to the depth that is limed, each with its own pH; the lime is their sum', () => {
		const rule = rules.find(({ kind, rule: { gives } }) => kind.byLayer === true && gives === 'lime')!;
		const request = {
			...twoLayers(),
			sample: {
				...cornRequest().sample,
				layers: [
					[0, 4, 4.3],
					[4, 8, 4.6]
				].map(([top, bottom, value]) => ({
					top: top!,
					bottom: bottom!,
					depthUnit: 'in' as const,
					results: [
						{ analyte: 'pH' as const, method: 'cacl2' as const, value: value!, unit: 'pH' as const },
						{ analyte: 'OC' as const, value: 1.2, unit: '%' as const },
						{ analyte: 'clay' as const, value: 15, unit: '%' as const }
					]
				}))
			},
			crop: { id: 'winter-wheat' as const, yieldGoal: 80 },
			targetPh: undefined,
			limeDepthIn: 6
		};
		const parts = partsOf(rule, readingOf(request));
		if (!Array.isArray(parts)) throw new Error(parts.reason);
		expect(parts.map(({ name, weight }) => [name, weight])).toEqual([
			['0-4 in', 1],
			['4-8 in', 1]
		]);
		expect(parts.map(({ reading }) => reading.site.soil.layers[0]!.thicknessIn)).toEqual([4, 2]);
	});

	it('zones with strips weigh by their acres', () => {
		const rule = rules.find(({ kind }) => kind.byZone === true)!;
		const parts = partsOf(rule, readingOf(GROUNDS['wheat with strips in two zones']!));
		expect(Array.isArray(parts) && parts.map(({ name, weight }) => [name, weight])).toEqual([
			['Knob', 5],
			['Bottom', 15]
		]);
	});

	it('are none where the guide is silent on the crop, and the reason names it', () => {
		const canola = { ...cornRequest(), crop: { id: 'canola' as const, yieldGoal: 2000 } };
		expect(partsOf(ruleOf('tri-state-1995/phosphorus'), readingOf(canola))).toMatchObject({
			applies: false,
			reason: 'this guide has no rate for canola'
		});
	});

	it('an input that no reader knows is said to be unknown', () => {
		const reading = new SiteReading(siteOf(cornRequest(), library, TODAY), siteInputs);
		expect(applyRule(ruleOf('tri-state-1995/nitrogen'), reading)).toMatchObject({
			applies: false,
			reason: 'credits is not known here'
		});
		expect(evaluate(ruleOf('tri-state-1995/nitrogen'), reading)).toBeNaN();
	});
});

describe('what was read of a soil', () => {
	it('is read once, and belongs to its layers: a cut layer makes a soil of its own', () => {
		const soil = soilLayers(frozen(structuredClone(cornRequest().sample)));
		expect(cationExchangeCapacity(soil)).toBe(cationExchangeCapacity(soil));
		expect(readResult(soil, 'K')).toBe(readResult(soil, 'K'));
		expect(readResult(soil, 'P', ['bray-p1'])).not.toBe(readResult(soil, 'P', ['olsen']));
		const [layer] = soil.layers;
		expect(soil.only(layer!)).toBe(soil);
		const pounds = { ...layer!, results: [{ analyte: 'K' as const, value: 240, unit: 'lb/ac' as const }] };
		const deep = new SampledSoil([{ ...pounds, thicknessIn: 8 }]);
		const cut = new SampledSoil([{ ...deep.layers[0]!, thicknessIn: 4 }]);
		const ppm = (of: SampledSoil) => {
			const answer = readResult(of, 'K');
			return answer.applies ? answer.value : NaN;
		};
		expect(ppm(cut)).toBeCloseTo(2 * ppm(deep), 9);
		expect(Object.getOwnPropertySymbols(layer!)).toEqual([]);
	});

	it('of several layers: one alone is always the same soil', () => {
		const soil = soilLayers(twoLayers().sample);
		const [top, below] = soil.layers;
		expect(soil.only(below!)).toBe(soil.only(below!));
		expect(soil.only(top!)).not.toBe(soil.only(below!));
		expect(readResult(soil.only(below!), 'K').applies).toBe(false);
		expect(soil.reported('pH').results.map(({ layer }) => layer)).toEqual([top, below]);
	});
});
