import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AdviseRequest, LimingMaterial, Result } from '../../schema-types';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { advise } from '../advise';
import { limeApplications } from './lime-applications';
import { limeGap } from './lime-gap';
import { limeKind, pricePerEffectiveTon } from './liming';
import { effectiveFraction } from './liming-material';
import { siteOf } from '../advise';

const answer = (request: AdviseRequest) => advise(request, library, '2026-11-20');
const rate = (request: AdviseRequest, method: string) => answer(request).rates.find((one) => one.method === method)!;

/** The layered orchard sample: pH in CaCl2 5.9, 4.7, 4.6, 5.0 in layers of 5 cm, carbon and clay in each. */
function layered(limeDepthIn?: number): AdviseRequest {
	const layer = (index: number, ph: number, carbon: number, clay: number) => ({
		top: index * 5,
		bottom: index * 5 + 5,
		depthUnit: 'cm' as const,
		results: [
			{ analyte: 'pH', method: 'cacl2', value: ph, unit: 'pH' },
			{ analyte: 'OC', value: carbon, unit: '%' },
			{ analyte: 'clay', value: clay, unit: '%' }
		] as Result[]
	});
	return {
		units: 'us',
		field: {},
		sample: { layers: [layer(0, 5.9, 1.4, 12), layer(1, 4.7, 1, 13), layer(2, 4.6, 0.8, 14), layer(3, 5, 0.6, 15)] },
		crop: { id: 'apple', yieldGoal: 20 },
		limePlacement: 'incorporated',
		...(limeDepthIn === undefined ? {} : { limeDepthIn })
	};
}

describe('lime layer by layer', () => {
	const method = 'acid-soils-cacl2/lime';
	// By hand at 1.324 g/cm3 and 5 cm: 1.098 x 1.3, 0.918 x 1.4, 0.738 x 1.0, each x 0.3310, t/ha.
	const perStep = 1.324 * 5 * 0.05;
	const byHand = [0, 1.098 * 1.3, 0.918 * 1.4, 0.738].map((need) => need * perStep);

	it('is the sum of the layers, and none for the one that is not below the trigger', () => {
		const { worksheet } = rate({ ...layered(), units: 'metric' }, method);
		expect(worksheet.applies && worksheet.value).toBeCloseTo(
			byHand.reduce((sum, one) => sum + one, 0),
			3
		);
		const layers = worksheet.applies ? worksheet.inputs[0]!.inputs : [];
		expect(layers.map(({ label }) => label)).toEqual(['0-5 cm', '5-10 cm', '10-15 cm', '15-20 cm']);
		expect(layers[0]).toMatchObject({ value: 0 });
		expect(layers[0]?.formula).toContain('not below the trigger of 5.5');
	});

	it('ends at the depth to be limed, cutting through a layer', () => {
		const shallow = rate({ ...layered(10 / 2.54), units: 'metric' }, method).rate!;
		expect(shallow).toBeCloseTo(byHand[1]!, 3);
		const half = rate({ ...layered(7.5 / 2.54), units: 'metric' }, method).rate!;
		expect(half).toBeCloseTo(byHand[1]! / 2, 3);
	});

	it('reads what a layer lacks from the others, and says why where none has it', () => {
		const bare = layered();
		for (const { results } of bare.sample.layers.slice(1)) results.splice(1, 2);
		expect(rate(bare, method).applies).toBe(true);
		bare.sample.layers[0]!.results.splice(1, 2);
		expect(rate(bare, method)).toMatchObject({ applies: false, rate: null });
		expect(rate(bare, method).reason).toContain('organic carbon');
	});

	it('takes clay from the texture where it was not measured, with a caution', () => {
		const request = layered();
		for (const { results } of request.sample.layers) results.splice(2, 1);
		const { worksheet } = rate({ ...request, field: { textureClass: 'sandy loam' } }, method);
		expect(JSON.stringify(worksheet)).toContain('Clay was not measured; the middle of sandy loam is used.');
	});

	it('never holds a pH in CaCl2 against a guide in water, nor the other way round', () => {
		const chloride = answer(layered());
		for (const guide of ['tri-state-1995/lime', 'buffer-capacity-water/lime', 'southeast-acidity/lime']) {
			const one = chloride.rates.find(({ method: name }) => name === guide)!;
			expect(one).toMatchObject({ applies: false, rate: null });
			expect(one.reason).toContain('the two scales are never mixed');
		}
		expect(rate(cornRequest(), method).reason).toContain('calibrated on pH in CaCl2');
	});

	it('takes the adviser’s target only on its own scale', () => {
		const water = rate({ ...layered(), targetPh: 6.5, targetPhScale: 'water', units: 'metric' }, method).rate!;
		expect(water).toBeCloseTo(
			byHand.reduce((sum, one) => sum + one, 0),
			3
		);
		const chloride = rate({ ...layered(), targetPh: 5.7, targetPhScale: 'cacl2', units: 'metric' }, method).rate!;
		expect(chloride).toBeLessThan(water);
	});
});

describe('a target above the crop’s cap', () => {
	it('gives no rate and says what over-liming does', () => {
		const capped = rate({ ...cornRequest(), targetPh: 7 }, 'tri-state-1995/lime');
		expect(capped).toMatchObject({ applies: false, rate: null });
		expect(capped.reason).toContain('ties up zinc, iron and manganese');
		expect(rate({ ...cornRequest(), targetPh: 6.8 }, 'tri-state-1995/lime').applies).toBe(true);
	});
});

describe('the material', () => {
	const sieved: LimingMaterial = {
		neutralizingValuePercent: 90,
		passing: [
			{ mesh: 8, percent: 90 },
			{ mesh: 60, percent: 40 }
		],
		moisturePercent: 10
	};
	it('acts by neutralizing value, sieves and moisture (common practice: 0.15, 0.5, 1)', () => {
		const fraction = effectiveFraction(sieved);
		// 0.9 x (40 x 1 + 50 x 0.5 + 10 x 0.15) % x 0.9
		expect(fraction.applies && fraction.value).toBeCloseTo(0.9 * 0.665 * 0.9, 12);
	});
	it('goes by the sieves of a guide that brings its own', () => {
		const scheme = {
			sieves: [
				{ finerThanMesh: 60, efficiency: 1 },
				{ finerThanMesh: 20, efficiency: 0.6 },
				{ finerThanMesh: 0, efficiency: 0.1 }
			],
			basis: 'practice' as const
		};
		expect(effectiveFraction(sieved, scheme)).toMatchObject({
			applies: false,
			reason: "the lime's analysis does not say what passes 20 mesh"
		});
	});
	it('is priced for the ton that acts', () => {
		const price = pricePerEffectiveTon(effectiveFraction({ neutralizingValuePercent: 80, finenessPercent: 50 }), 32);
		expect(price).toMatchObject({ value: 80, unit: '$ per effective short ton' });
		expect(pricePerEffectiveTon(effectiveFraction(sieved), undefined)).toMatchObject({ applies: false });
	});
	it('needs a finer material in proportion, whatever the guide', () => {
		const half = { neutralizingValuePercent: 65, finenessPercent: 50 };
		expect(rate({ ...cornRequest(), limingMaterial: half }, 'tri-state-1995/lime').rate).toBeCloseTo(9.44, 9);
	});
	it('is dolomitic where magnesium is short, calcitic where it is plenty', () => {
		const kind = (Mg: number) => {
			const request = cornRequestWith({ Mg: { value: Mg, unit: 'ppm' } });
			return limeKind(siteOf(request, library, '2026-11-20')).take;
		};
		// CEC 16: one percent is 19.44 ppm of Mg.
		expect([kind(190), kind(200), kind(380), kind(400)]).toEqual(['dolomitic', 'either', 'either', 'calcitic']);
		expect(limeKind(siteOf(cornRequest(), library, '2026-11-20')).why).toContain('not known');
	});
});

describe('the depth that lime is for', () => {
	// One sample 0-24 in, pH 5.0, SMP 6.0, target 6.5. E-2567 (1995), from memory: 8.2 tons to pH 6.5 for 8 in.
	const deep = (more: Partial<AdviseRequest> = {}): AdviseRequest => {
		const request = cornRequestWith({
			pH: { method: 'water', value: 5, unit: 'pH' },
			bufferPh: { method: 'smp', value: 6, unit: 'pH' }
		});
		const [layer] = request.sample.layers;
		return {
			...request,
			targetPh: 6.5,
			sample: { ...request.sample, layers: [{ ...layer!, top: 0, bottom: 24 }] },
			...more
		};
	};
	const tons = (more?: Partial<AdviseRequest>) => rate(deep(more), 'tri-state-1995/lime').rate!;
	it('is that of the guide, however deep the sample was taken', () => expect(tons()).toBeCloseTo(8.2, 6));
	it('is what the adviser works in', () => {
		expect(tons({ limeDepthIn: 6 })).toBeCloseTo(6.15, 6);
		expect(tons({ limeDepthIn: 12 })).toBeCloseTo(12.3, 6);
	});
	it('is the top 4 in on the surface, 2 at the least', () => {
		expect(tons({ limePlacement: 'surface' })).toBeCloseTo(4.1, 6);
		expect(tons({ limePlacement: 'surface', limeDepthIn: 18 })).toBeCloseTo(4.1, 6);
		expect(tons({ limePlacement: 'surface', limeDepthIn: 1 })).toBeCloseTo(2.05, 6);
	});
	it('on the surface, layer by layer, takes none of the acid below', () => {
		const surface = { ...layered(), limePlacement: 'surface' as const, units: 'metric' as const };
		const worked = { ...surface, limePlacement: 'incorporated' as const };
		const [onTop, mixed] = [surface, worked].map((request) => rate(request, 'acid-soils-cacl2/lime').rate!);
		// 4 in are 10.16 cm: the layer of 5 to 10 cm, and 0.16 cm of the next.
		expect(onTop).toBeCloseTo((1.098 * 1.3 + (0.918 * 1.4 * 0.16) / 5) * 1.324 * 5 * 0.05, 3);
		expect(onTop).toBeLessThan(mixed! / 2);
	});
});

describe('lime under the canopy only', () => {
	it('is the rate on half of the ground, shared among 43,560 / (20 x 20) trees', () => {
		const block = { plantedYear: 2012, rowSpacing: 20, plantSpacing: 20, treatedWidth: 10 };
		const orchard = { ...layered(), crop: { id: 'apple' as const, yieldGoal: 20, block } };
		const { rate: tons, liming } = rate(orchard, 'acid-soils-cacl2/lime');
		expect(liming?.underCanopy?.perBlockAcre).toMatchObject({ value: expect.closeTo(tons! / 2, 9) as number });
		expect(liming?.underCanopy?.perPlant).toMatchObject({ value: expect.closeTo((tons! * 1000) / 108.9, 6) as number });
		expect(rate(layered(), 'acid-soils-cacl2/lime').liming?.underCanopy).toBeUndefined();
	});
});

describe('how it is put on', () => {
	it('in as many seasons as it takes: 4 short tons at once worked in, 2 on the surface', () => {
		expect(limeApplications(4, 'incorporated', 'us').applications).toEqual([{ season: 0, rate: 4 }]);
		expect(limeApplications(4.72, 'incorporated', 'us').applications.map((one) => one.rate)).toEqual([2.36, 2.36]);
		expect(limeApplications(24.6, 'incorporated', 'us').applications).toHaveLength(7);
		expect(limeApplications(2, 'surface', 'us').applications).toHaveLength(1);
		expect(limeApplications(5, 'surface', 'us').applications).toHaveLength(3);
		expect(limeApplications(0, 'surface', 'us').applications).toEqual([]);
	});
	it('never loses or adds a pound, and never more than the limit at once', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.01, max: 12, noNaN: true }), (rate) => {
				const parts = limeApplications(rate, 'surface', 'us').applications.map((one) => one.rate);
				expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(rate, 9);
				for (const part of parts) expect(part).toBeLessThanOrEqual(2 + 1e-9);
			})
		);
	});
});

describe('what it brings and how long it lasts', () => {
	const prices = { grain: 4.6, lime: 32 };
	const field = { textureClass: 'silt loam' as const };
	const soil = cornRequestWith({ OM: { value: 2.9, unit: '%' } });
	const liming = (change: Partial<AdviseRequest>) =>
		rate({ ...soil, field, prices, ...change }, 'tri-state-1995/lime').liming!;

	it('is the yield gained by the old table, less the yearly share of the cost, and says that it is illustrative', () => {
		const { payBack, yearsItLasts } = liming({ nitrogenRate: 160.6 });
		expect(payBack).toMatchObject({ applies: true, unit: '$/ac' });
		// Table: 81.55 at 5.6 (between 73 at 5.0 and 83 at 5.7), 95.36 at 6.5; 4.72 short tons at $32.
		const gain = (95.363636 / 81.571429 - 1) * 160 * 4.6;
		// 4.72 x 2000 x 0.65 lb act; a year takes 160.6 x 1.8 of the nitrogen, 100 of the background and 160 x 0.13 of the harvest.
		const years = (4.72 * 2000 * 0.65) / (160.6 * 1.8 + 100 + 160 * 0.13);
		expect(yearsItLasts.applies && yearsItLasts.value).toBeCloseTo(years, 2);
		expect(yearsItLasts.applies && yearsItLasts.cautions[0]).toContain('10 to 17 years');
		// pH falls back over its 12 years, of which ten are counted: what is kept of the gain, and a tenth of the cost.
		expect(years).toBeGreaterThan(10);
		expect(payBack.applies && payBack.value).toBeCloseTo(gain * (1 - 10 / (2 * years)) - (4.72 * 32) / 10, 1);
		expect(payBack.applies && payBack.cautions.join()).toContain('Illustrative');
	});
	it('does not pay four times the lime back: what lasts longer than ten years is not counted', () => {
		const worth = (depthIn: number) => {
			const { payBack } = liming({ nitrogenRate: 160.6, limeDepthIn: depthIn });
			return payBack.applies ? payBack.value : NaN;
		};
		expect(worth(24)).toBeLessThan(worth(8));
	});
	it('on ground rented by the year is paid by one year, and says whose the rest is', () => {
		const rented = liming({ nitrogenRate: 160.6, field: { ...field, tenure: 'rented by the year' as const } }).payBack;
		const owned = liming({ nitrogenRate: 160.6 }).payBack;
		expect(rented.applies && owned.applies && rented.value).toBeLessThan((owned as { value: number }).value);
		expect(rented.applies && rented.cautions.join()).toContain('stays with the owner');
	});
	it('lasts less long under more nitrogen', () => {
		const years = (nitrogenRate: number) => {
			const { yearsUntilNext } = liming({ nitrogenRate });
			return yearsUntilNext.applies ? yearsUntilNext.value : NaN;
		};
		expect(years(200)).toBeLessThan(years(100));
	});
	it('says why where it cannot be told', () => {
		expect(liming({ prices: { lime: 32 } }).payBack).toMatchObject({
			applies: false,
			reason: 'no price for corn is known'
		});
		expect(liming({ field: {} }).yearsUntilNext).toMatchObject({ applies: false });
		expect(liming({ targetPh: 5.5 }).payBack).toMatchObject({ applies: false });
	});
	it('never prices the fall of yield above pH 6.8', () => {
		const request = cornRequestWith({
			pH: { method: 'water', value: 6.3, unit: 'pH' },
			OM: { value: 2.9, unit: '%' }
		});
		const alfalfa = { ...request, crop: { id: 'alfalfa' as const, yieldGoal: 5 }, targetPh: 6.8, field, prices };
		const { payBack } = rate(alfalfa, 'tri-state-1995/lime').liming!;
		expect(payBack.applies).toBe(true);
	});
});

describe('the approaches side by side', () => {
	const acid = () =>
		cornRequestWith({
			pH: { method: 'water', value: 5.2, unit: 'pH' },
			bufferPh: { method: 'smp', value: 6.0, unit: 'pH' },
			OC: { value: 1.2, unit: '%' },
			clay: { value: 12, unit: '%' }
		});
	const aglime: LimingMaterial = { name: 'aglime', neutralizingValuePercent: 90, finenessPercent: 72.25 };
	it('a rate of pure CaCO3 is more tons of lime with an effective neutralizing value of 65 %', () => {
		const pure = rate(acid(), 'buffer-capacity-water/lime').rate!;
		const bought = rate({ ...acid(), limingMaterial: aglime }, 'buffer-capacity-water/lime').rate!;
		expect(bought * 0.9 * 0.7225).toBeCloseTo(pure, 6);
	});
	it('that lie more than half apart are told apart in a sentence, those that agree are not', () => {
		const apart = answer({ ...acid(), limingMaterial: aglime }).rates;
		expect(limeGap(apart, library.packs)).toMatch(/more than half apart: .*buffer.*; .*layer by layer/);
		const one = apart.filter(({ method }) => method === 'tri-state-1995/lime');
		expect(limeGap(one, library.packs)).toBeUndefined();
	});
	it('a rate that is more than goes on at once says so in the answer', () => {
		const said = (request: AdviseRequest) => {
			const { worksheet } = rate(request, 'tri-state-1995/lime');
			return worksheet.applies ? worksheet.cautions.join() : '';
		};
		expect(said(acid())).toContain('more than 4 short ton/ac at once does not mix');
		expect(said({ ...acid(), limePlacement: 'surface' })).toContain('at most 2 short ton/ac each time');
	});
});

it('gives every approach as pure lime too, whatever lime its guide reckons with', () => {
	const limes = (change: Partial<AdviseRequest> = {}) =>
		answer({ ...cornRequest(), ...change }).rates.filter(({ nutrient, applies }) => nutrient === 'lime' && applies);
	const fine: LimingMaterial = { neutralizingValuePercent: 92, finenessPercent: 66.5 };
	const own = new Map(limes().map((one) => [one.method, one]));
	const named = limes({ limingMaterial: fine });
	expect(named.length).toBeGreaterThan(0);
	for (const { method, rate: tons, liming } of named) {
		const pure = liming!.asPureLime;
		expect(pure.applies && pure.value, method).toBeCloseTo(tons! * 0.92 * 0.665, 9);
		const without = own.get(method)!.liming!.asPureLime;
		expect(without.applies && without.value, method).toBeCloseTo(tons! * 0.92 * 0.665, 9);
	}
});
