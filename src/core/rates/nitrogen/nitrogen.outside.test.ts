// Checks of nitrogen against publications and trade facts. Published values were written from memory of the
// publication named; common practice has no source.
import { describe, expect, it } from 'vitest';
import { figure } from '../../figure/figure';
import { noNumbers, type InputName } from '../../packs/rule-kind';
import { passAcidity } from '../../season/plan/pass/pass-acidity';
import { uptakeAt } from '../../season/model/growth/uptake';
import type { AdviseRequest, CropId, Pass } from '../../schema-types';
import { cornRequest, library } from '../../testing.test-help';
import { advise } from '../advise';
import { nitrogenBalance } from './balance';
import { coefficientsOf } from './response/shapes/models';
import { mostProfitRate, mostYieldRate, testedCurve } from './response/returns';

function compute(method: string, crop: CropId, inputs: Partial<Record<InputName, number>>): number {
	const compiled = library.packs.rules.find((rule) => rule.method === method)!;
	return compiled.forCrop(crop)!.evaluate(Object.assign(noNumbers(), { credits: 0 }, inputs));
}
const rateOf = (request: AdviseRequest, method: string) =>
	advise(request, library, '2027-06-10').rates.find((rate) => rate.method === method)!;

describe('mass balance', () => {
	it.each([
		// tri-state E-2567: -27 + 1.36 YG - credits; wheat 40 + 1.75 (YG - 50), never below 40
		['tri-state-1995/nitrogen', 'corn-grain', 160, 30, 160.6],
		['tri-state-1995/nitrogen', 'winter-wheat', 70, 0, 75],
		['tri-state-1995/nitrogen', 'winter-wheat', 90, 0, 110],
		// northern plains guides: 1.2, 2.5, 0.05 and 0.065 lb for each unit of the goal, less nitrate and credits
		['northern-plains/nitrogen', 'corn-grain', 150, 60, 120],
		['northern-plains/nitrogen', 'spring-wheat', 60, 40, 110],
		['northern-plains/nitrogen', 'sunflower', 2000, 30, 70],
		['northern-plains/nitrogen', 'canola', 2200, 0, 143]
	] as const)('%s for %s %i less %i is %f', (method, crop, yieldGoal, credits, expected) => {
		expect(compute(method, crop, { yieldGoal, credits })).toBeCloseTo(expected, 9);
	});

	it.each([
		// Nebraska EC117: (35 + 1.2 YG - 8 NO3 - 0.14 YG OM - credits) x timing x (0.263 + 0.1256 R - 0.00421 R2)
		{ yieldGoal: 200, ppm: 5, om: 2, credits: 45, timing: 0.95, ratio: 10, expected: 134 * 0.95 * 1.098 },
		{ yieldGoal: 180, ppm: 3, om: 1, credits: 0, timing: 1.05, ratio: 8, expected: 201.8 * 1.05 * 0.99836 },
		// organic matter counts to 3 %, the price ratio from 4 to 12
		{ yieldGoal: 160, ppm: 3, om: 4.5, credits: 0, timing: 1, ratio: 20, expected: 135.8 * 1.16396 },
		{ yieldGoal: 160, ppm: 3, om: 3, credits: 0, timing: 1, ratio: 2, expected: 135.8 * 0.69804 },
		{ yieldGoal: 100, ppm: 30, om: 3, credits: 0, timing: 1, ratio: 8, expected: 0 }
	])('EC117 at $yieldGoal bu, $ppm ppm, $om % is $expected', (one) => {
		const inputs = {
			yieldGoal: one.yieldGoal,
			rootZoneNitratePpm: one.ppm,
			organicMatter: one.om,
			credits: one.credits,
			timingFactor: one.timing,
			grainPrice: one.ratio * 0.5,
			nitrogenPrice: 0.5
		};
		expect(compute('western-corn-nitrogen/nitrogen', 'corn-grain', inputs)).toBeCloseTo(one.expected, 6);
	});

	it('nitrate of two depths weighs by thickness: 8 ppm over 8 in and 2 ppm over 16 in are 4 ppm', () => {
		const request = cornRequest();
		const nitrate = (top: number, bottom: number, value: number) => ({
			top,
			bottom,
			depthUnit: 'in' as const,
			results: [{ analyte: 'NO3-N' as const, value, unit: 'ppm' as const }]
		});
		request.sample.layers[0]!.results.push({ analyte: 'OM', value: 2, unit: '%' });
		request.sample.layers.push(nitrate(0, 8, 8), nitrate(8, 24, 2));
		const { worksheet, rate } = rateOf(request, 'western-corn-nitrogen/nitrogen');
		expect(JSON.stringify(worksheet)).toContain('"value":4');
		// (35 + 192 - 32 - 44.8 - 45) x 1 x f(4.6 / 0.62)
		const ratio = 4.6 / 0.62;
		expect(rate).toBeCloseTo(105.2 * (0.263 + 0.1256 * ratio - 0.00421 * ratio ** 2), 6);
	});

	it('water brings 2.72 lb/ac for each ppm of nitrate-N in 12 in (common practice), a line of its own', () => {
		const request = { ...cornRequest(), nitrogen: { irrigationIn: 18, irrigationNitratePpm: 10, manureN: 20 } };
		const { rate, worksheet } = rateOf(request, 'tri-state-1995/nitrogen');
		expect(rate).toBeCloseTo(160.6 - 40.8 - 20, 9);
		expect(JSON.stringify(worksheet)).toContain('nitrate in irrigation water');
		expect(JSON.stringify(worksheet)).toContain('manure of this year');
	});
});

describe('economic optimum', () => {
	const curve = (model: Parameters<typeof testedCurve>[0], c: { a: number; b: number; c?: number; join?: number }) =>
		testedCurve(model, coefficientsOf({ model, coefficients: c }), 0, 300);
	it('quadratic plateau: the join is maximum yield, (ratio - b)/(2 c) economic optimum (calculus)', () => {
		const one = curve('quadratic-plateau', { a: 100, b: 1, c: -0.0025 });
		expect(mostYieldRate(one)).toBeCloseTo(200, 9);
		expect(mostProfitRate(one, 0.125)).toBeCloseTo(175, 9);
	});
	it('linear plateau: the join where the slope exceeds the price ratio, else none', () => {
		const one = curve('linear-plateau', { a: 100, b: 0.5, join: 140 });
		expect(mostProfitRate(one, 0.13)).toBe(140);
		expect(mostProfitRate(one, 0.6)).toBe(0);
	});
	it('Mitscherlich: maximum yield is 99 % of the asymptote', () => {
		const one = curve('mitscherlich', { a: 200, b: 100, c: 0.02 });
		expect(200 - 100 * Math.exp(-0.02 * mostYieldRate(one))).toBeCloseTo(198, 9);
		expect(100 * 0.02 * Math.exp(-0.02 * mostProfitRate(one, 0.125))).toBeCloseTo(0.125, 9);
	});
	it('outside the tested rates there is none', () => {
		const short = { ...curve('quadratic', { a: 100, b: 1, c: -0.0005 }), highest: 200 };
		expect(mostYieldRate(short)).toBeNaN();
		expect(mostProfitRate(short, 0.13)).toBeNaN();
	});
});

describe('in the standing crop', () => {
	it.each([
		// Iowa State PM 1714: (25 - ppm) x 8, none at or above 25; 20 to 22 after heavy rain or manure, the pack takes 21
		[14, 25, 88],
		[25, 25, 0],
		[31, 25, 0],
		[14, 21, 56],
		[21, 21, 0]
	])('nitrate %i ppm against %i is %i lb', (sidedressNitratePpm, criticalNitratePpm, expected) => {
		const method = 'in-season-nitrogen/corn-nitrate';
		expect(compute(method, 'corn-grain', { sidedressNitratePpm, criticalNitratePpm })).toBe(expected);
	});

	it('wheat strips: 20 bu x 60 lb x 0.0239 / 0.70 (Raun and co-workers 2002), 0.6 usual since', () => {
		const inputs = { yieldWithout: 40, yieldRich: 60 };
		const method = 'in-season-nitrogen/strips';
		expect(compute(method, 'winter-wheat', { ...inputs, nitrogenEfficiency: 0.7 })).toBeCloseTo(40.971, 3);
		expect(compute(method, 'winter-wheat', { ...inputs, nitrogenEfficiency: 0.6 })).toBeCloseTo(47.8, 9);
	});

	it.each([
		// common practice: [0,20) 70, [20,30) 70 to 60, [30,50) 50 to 40, 50 and more none; 30 at least if hungry
		[12, 0, 70],
		[20, 0, 70],
		[25, 0, 65],
		[29.999, 0, 60.001],
		[30, 0, 50],
		[40, 0, 45],
		[50, 0, 0],
		[96, 0, 0],
		[96, 30, 30]
	])('%f stems per ft2, at least %i: %f lb', (tillersPerFt2, leastDressing, expected) => {
		expect(compute('wheat-tillers/tillering', 'winter-wheat', { tillersPerFt2, leastDressing })).toBeCloseTo(
			expected,
			3
		);
	});

	it('48 stems on 6 in rows are 96 per ft2, and none is called for (common practice)', () => {
		const wheat: AdviseRequest = {
			...cornRequest(),
			crop: { id: 'winter-wheat', yieldGoal: 90 },
			inSeason: { tillers: { counts: [48], rowSpacingIn: 6, date: '2027-02-02' } }
		};
		const { rate, worksheet, reason } = rateOf(wheat, 'wheat-tillers/tillering');
		expect(rate).toBe(0);
		expect(reason).toContain('none');
		expect(worksheet.applies && worksheet.inputs[0]).toMatchObject({ value: 96, unit: 'per ft2' });
	});
});

it('placed and timed: 200 bu are 100 lb in all (common practice, factor 0.5)', () => {
	expect(compute('placed-nitrogen/corn', 'corn-grain', { yieldGoal: 200, placedNitrogen: 100 })).toBe(100);
});

describe('what nitrogen leaves and costs', () => {
	const corn = library.crops.find(({ id }) => id === 'corn-grain')!;
	it('200 lb on 200 bu of corn leave 66 lb (0.67 lb/bu, IPNI removal tables)', () => {
		const value = (label: string, amount: number) => figure({ label, value: amount, unit: '', basis: 'adviser' });
		expect(nitrogenBalance(corn, value('applied', 200), value('yield', 200))).toMatchObject({ value: 66 });
	});
	it('soybean has no balance: it draws its nitrogen from the air', () => {
		const soybean = library.crops.find(({ id }) => id === 'soybean')!;
		const none = figure({ label: 'x', value: 1, unit: '', basis: 'adviser' });
		expect(nitrogenBalance(soybean, none, none)).toMatchObject({
			applies: false,
			reason: expect.stringContaining('air')
		});
	});
	it.each([
		// lb of pure CaCO3 for each lb of N, Pierre 1933 basis, common tables; elemental sulfur 3.1 for each lb of S
		['urea', 1.8],
		['uan-28', 1.8],
		['ammonia', 1.8],
		['ammonium-nitrate', 1.8],
		['ammonium-sulfate', 5.4],
		['map', 5],
		['dap', 3.1],
		['ammonium-thiosulfate', 8.7],
		['calcium-nitrate', -1.3],
		['potassium-nitrate', -1.9]
	])('a lb of N as %s takes %f lb of lime', (id, expected) => {
		const product = library.products.find((candidate) => candidate.id === id)!;
		const rate = 100 / product.analysis.N!;
		const pass: Pass = {
			id,
			date: '2027-05-01',
			label: id,
			product: id,
			rate,
			unit: 'lb/ac',
			placement: 'broadcast',
			reason: ''
		};
		expect(passAcidity(pass, product)).toMatchObject({ applies: true, value: expect.closeTo(expected, 9) });
	});
	it('corn has taken up about two thirds by tassel, about 100 lb of it in the two weeks before, at 250 bu', () => {
		// Bender and co-workers 2013 (from memory), at the heat of the stages: V8 430, VT 771 C degree days (Nielsen, from memory);
		// two weeks of July bring about 195.
		const { uptake } = library.schedules.find(({ crop }) => crop === 'corn-grain')!;
		const total = uptakeAt(uptake!, 250, 2000);
		expect(uptakeAt(uptake!, 250, 771) / total).toBeCloseTo(0.67, 1);
		const beforeTassel = uptakeAt(uptake!, 250, 771) - uptakeAt(uptake!, 250, 771 - 195);
		expect(beforeTassel).toBeGreaterThan(85);
		expect(beforeTassel).toBeLessThan(115);
		expect(uptakeAt(uptake!, 250, 430) / total).toBeLessThan(0.12);
	});
});

describe('holding limit (common practice: 10 lb for each meq/100 g, less what is in the ground)', () => {
	it.each([
		[12, 50, 70],
		[15, 20, 130],
		[30, 0, 250]
	])('CEC %i with %i lb of nitrate has room for %i lb', (cec, pounds, expected) => {
		const request = cornRequest();
		const layer = request.sample.layers[0]!;
		layer.results = layer.results.map((one) => (one.analyte === 'CEC' ? { ...one, value: cec } : one));
		request.sample.layers.push({
			top: 0,
			bottom: 24,
			depthUnit: 'in',
			results: [{ analyte: 'NO3-N', value: pounds / 7.2, unit: 'ppm' }]
		});
		expect(advise(request, library, '2026-11-20').derived.holdingRoom).toBeCloseTo(expected, 6);
	});
});
