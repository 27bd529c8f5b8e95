// Checks against publications. Every expected value stands in the named publication or follows from its equation;
// all were written from memory of it, as the packs say.
import { describe, expect, it } from 'vitest';
import { noNumbers, type InputName } from '../packs/rule-kind';
import type { CropId } from '../schema-types';
import { cornRequest, library } from '../testing.test-help';
import { advise } from './advise';

function compute(method: string, crop: CropId | undefined, inputs: Partial<Record<InputName, number>>): number {
	const compiled = library.packs.rules.find((rule) => rule.method === method);
	if (!compiled) throw new Error(`no method ${method}`);
	return compiled.forCrop(crop)!.evaluate(Object.assign(noNumbers(), { credits: 0, residueShare: 0 }, inputs));
}

describe('lime by buffer line: table of tri-state bulletin E-2567 (1995), 8 in, mineral soils, from memory', () => {
	const table: [index: number, to68: number, to65: number, to60: number][] = [
		[68, 1.4, 1.2, 1.0],
		[64, 5.5, 4.7, 3.9],
		[60, 9.6, 8.2, 6.7]
	];
	it.each(table)('lime test index %i', (index, to68, to65, to60) => {
		const lime = (targetPh: number) =>
			compute('tri-state-1995/lime', undefined, {
				soilPh: 5,
				bufferPh: index / 10,
				targetPh,
				limeDepthIn: 8,
				effectiveFraction: 0.65
			});
		expect(lime(6.8)).toBeCloseTo(to68, 1);
		expect(lime(6.5)).toBeCloseTo(to65, 1);
		expect(lime(6.0)).toBeCloseTo(to60, 1);
	});
});

describe('corn, soybean and wheat by tri-state bulletin E-2567 (1995), from memory of its equations', () => {
	it.each([
		// crop, goal, STP, P2O5 by (CL - STP) x 5 + YG x CR; maintenance; drawdown over 10 ppm
		['corn-grain', 160, 10, 84.2],
		['corn-grain', 160, 15, 59.2],
		['corn-grain', 160, 30, 59.2],
		['corn-grain', 160, 35, 29.6],
		['corn-grain', 160, 40, 0],
		['soybean', 50, 5, 90],
		['winter-wheat', 80, 20, 75.4],
		['winter-wheat', 80, 45, 25.2],
		['alfalfa', 5, 25, 65]
	] as const)('P2O5 for %s %i at %i ppm Bray is %f', (crop, yieldGoal, soilTest, expected) => {
		expect(compute('tri-state-1995/phosphorus', crop, { yieldGoal, soilTest })).toBeCloseTo(expected, 9);
	});

	it.each([
		// crop, goal, STK, CEC, K2O by (CL - STK)(1 + 0.05 CEC) + YG x CR + 20, CL = 75 + 2.5 CEC
		['corn-grain', 160, 120, 16, 63.2],
		['corn-grain', 160, 95, 16, 99.2],
		['corn-grain', 160, 155, 16, 31.6],
		['corn-grain', 160, 165, 16, 0],
		['soybean', 50, 90, 6, 90],
		['soybean', 50, 80, 6, 103],
		['alfalfa', 6, 60, 20, 300]
	] as const)('K2O for %s %i at %i ppm, CEC %i is %f', (crop, yieldGoal, soilTest, cec, expected) => {
		expect(compute('tri-state-1995/potassium', crop, { yieldGoal, soilTest, cec })).toBeCloseTo(expected, 9);
	});

	it.each([
		['corn-grain', 160, 30, 160.6],
		['winter-wheat', 70, 0, 75],
		['winter-wheat', 90, 0, 110],
		['winter-wheat', 45, 0, 40]
	] as const)('N for %s %i less %i of credits is %f', (crop, yieldGoal, credits, expected) => {
		expect(compute('tri-state-1995/nitrogen', crop, { yieldGoal, credits })).toBeCloseTo(expected, 9);
	});
});

describe('feed the crop: NDSU SF882 / SDSU EC750 equations, from memory', () => {
	it.each([
		['northern-plains/phosphorus-bray', 'corn-grain', 160, 10, 56],
		['northern-plains/phosphorus-bray', 'corn-grain', 160, 20, 0],
		['northern-plains/phosphorus-olsen', 'winter-wheat', 60, 8, 32.1],
		['northern-plains/phosphorus-olsen', 'sunflower', 2000, 10, 17],
		['northern-plains/potassium', 'corn-grain', 160, 120, 46.4],
		['northern-plains/potassium', 'soybean', 50, 100, 18.5]
	] as const)('%s for %s %i at %i ppm is %f', (method, crop, yieldGoal, soilTest, expected) => {
		expect(compute(method, crop, { yieldGoal, soilTest })).toBeCloseTo(expected, 9);
	});

	it('soybean seldom answers P above 11 ppm Olsen by the equation, 8 to 9 in practice (common practice)', () => {
		expect(compute('northern-plains/phosphorus-olsen', 'soybean', { yieldGoal: 50, soilTest: 11.1 })).toBe(0);
	});
});

describe('replace removal: IPNI removal tables, grain, from memory', () => {
	it.each([
		['P2O5 of', 'crop-removal/phosphorus', 'corn-grain', 200, 70],
		['P2O5 of', 'crop-removal/phosphorus', 'soybean', 60, 43.8],
		['P2O5 of', 'crop-removal/phosphorus', 'winter-wheat', 80, 38.4],
		['P2O5 of', 'crop-removal/phosphorus', 'sunflower', 2000, 19.4],
		['K2O of', 'crop-removal/potassium', 'soybean', 60, 70.2],
		['K2O of', 'crop-removal/potassium', 'barley', 80, 25.6],
		['K2O of', 'crop-removal/potassium', 'alfalfa', 5, 245]
	] as const)('%s %s for %s at %i takes %f', (_name, method, crop, yieldGoal, expected) => {
		expect(compute(method, crop, { yieldGoal })).toBeCloseTo(expected, 9);
	});

	it('soybean takes off more K than corn for each bushel, and about twice the P (trade fact, common practice)', () => {
		const each = (method: string, crop: CropId) => compute(method, crop, { yieldGoal: 1 });
		expect(each('crop-removal/potassium', 'soybean')).toBeGreaterThan(each('crop-removal/potassium', 'corn-grain'));
		expect(each('crop-removal/phosphorus', 'soybean') / each('crop-removal/phosphorus', 'corn-grain')).toBeCloseTo(
			2,
			0
		);
	});
});

it('sulfur for wheat: 10 lb to 100 bu, 15 at 115 to 125, 20 above 130 (common practice)', () => {
	const sulfur = (yieldGoal: number) => compute('wheat-sulfur/sulfur', 'winter-wheat', { yieldGoal });
	expect([60, 100, 107.5, 115, 125, 130, 150].map(sulfur)).toEqual([10, 10, 12.5, 15, 15, 20, 20]);
});

it('the whole request: P2O5 84.2, K2O 63.2, N 160.6 lb/ac and 4.72 short tons/ac of the reference lime', () => {
	const { rates } = advise(cornRequest(), library, '2026-11-20');
	const by = (method: string) => rates.find((rate) => rate.method === `tri-state-1995/${method}`)?.rate;
	expect([by('phosphorus'), by('potassium'), by('nitrogen'), by('lime')]).toEqual([84.2, 63.2, 160.6, 4.72]);
});

describe('lime by acidity ratio: south-eastern laboratory practice, from memory', () => {
	const lime = (soilPh: number, bufferPh: number, targetPh: number, depth = 8) =>
		compute('southeast-acidity/lime', undefined, {
			soilPh,
			bufferPh,
			targetPh,
			limeDepthIn: depth,
			effectiveFraction: 0.65
		});
	it.each([
		// AC = (6.6 - buffer) / 0.25; lime = AC x (target - pH) / (6.6 - pH)
		[5.0, 6.3, 6.0, 0.75],
		[5.0, 6.3, 6.5, 1.125],
		[5.6, 6.1, 6.5, 1.8],
		[4.6, 5.6, 6.0, 2.8]
	])('pH %f, Mehlich buffer %f, target %f: %f short tons/ac', (soilPh, bufferPh, targetPh, expected) =>
		expect(lime(soilPh, bufferPh, targetPh)).toBeCloseTo(expected, 9)
	);
	it('none at the trigger, and half for half the depth', () => {
		expect(lime(5.8, 6.3, 6.0)).toBe(0);
		expect(lime(5.0, 6.3, 6.0, 4)).toBeCloseTo(0.375, 9);
	});
});

describe('lime by buffer capacity: Aitken, Moody and McKinley 1990, from memory', () => {
	const pure = (organicCarbon: number, clay: number, soilPh: number, bulkDensity: number, layerThicknessCm: number) =>
		compute('buffer-capacity-water/lime', undefined, {
			organicCarbon,
			clay,
			soilPh,
			targetPh: 6.5,
			bulkDensity,
			layerThicknessCm,
			effectiveFraction: 1
		}) * 2.241702;
	it('1 cmol/kg over 10 cm at 1.0 g/cm3 is 0.5 t/ha of CaCO3 (the unit arithmetic of the constant)', () =>
		expect(pure(1 / 0.955, 0, 5.5, 1, 10)).toBeCloseTo(0.5, 5));
	it.each([
		// (0.955 OC + 0.011 clay) x (6.5 - pH) x BD x cm x 0.05
		[2, 30, 5.0, 1.2, 15, 3.024],
		[1, 10, 5.5, 1.4, 10, 0.7455],
		[3, 45, 4.5, 1.1, 20, 7.392]
	])('OC %f, clay %i, pH %f, %f g/cm3, %i cm: %f t/ha', (carbon, clay, soilPh, density, cm, expected) =>
		expect(pure(carbon, clay, soilPh, density, cm)).toBeCloseTo(expected, 4)
	);
});

describe('keep in the range: tri-state bulletin 974 (2020), from memory', () => {
	it.each([
		// below: (low - STP) x 20 / 4 + removal; inside: removal; above: nothing
		['tri-state-2020/phosphorus', 'corn-grain', 200, 12, NaN, 110],
		['tri-state-2020/phosphorus', 'corn-grain', 200, 20, NaN, 70],
		['tri-state-2020/phosphorus', 'soybean', 60, 40, NaN, 48],
		['tri-state-2020/phosphorus', 'winter-wheat', 80, 29, NaN, 45],
		['tri-state-2020/phosphorus', 'alfalfa', 6, 51, NaN, 0],
		['tri-state-2020/potassium', 'corn-grain', 200, 130, 12, 40],
		['tri-state-2020/potassium', 'soybean', 60, 110, 20, 89],
		['tri-state-2020/potassium', 'soybean', 60, 110, 4.9, 69],
		['tri-state-2020/potassium', 'winter-wheat', 80, 171, 12, 0],
		['tri-state-2020/potassium', 'alfalfa', 7, 40, 20, 300]
	] as const)('%s for %s %i at %i ppm, CEC %f is %f', (method, crop, yieldGoal, soilTest, cec, expected) => {
		expect(compute(method, crop, { yieldGoal, soilTest, cec })).toBeCloseTo(expected, 9);
	});
});

describe('balance the cations: Bear 1945, Graham 1959, from memory', () => {
	it.each([
		// (target - share) / 100 x CEC x ppm of one meq x 2 in 6 2/3 in, K as K2O
		['cation-balance/bear-1945-k2o', 10, 117.3, 188.4],
		['cation-balance/graham-1959-k2o', 10, 39.1, 94.2],
		['cation-balance/graham-1959-k2o', 10, 117.3, 0],
		['cation-balance/bear-1945-mg', 10, 72.9, 97.2],
		['cation-balance/graham-1959-mg', 10, 72.9, 0],
		['cation-balance/bear-1945-ca', 10, 1002, 601.2]
	] as const)('%s at CEC %i and %f ppm is %f lb/ac', (method, cec, soilTest, expected) => {
		expect(compute(method, undefined, { cec, soilTest, sampledDepthIn: 20 / 3 })).toBeCloseTo(expected, 1);
	});
});

describe('what leaves the field: IPNI removal tables, from memory', () => {
	it.each([
		['crop-removal/phosphorus', 'corn-grain', 200, 1, 102],
		['crop-removal/potassium', 'winter-wheat', 80, 1, 119.2],
		['crop-removal/potassium', 'corn-silage', 20, 0, 146],
		['crop-removal/sulfur', 'corn-grain', 200, 0, 16],
		['crop-removal/sulfur', 'soybean', 60, 0, 10.8],
		['crop-removal/sulfur', 'alfalfa', 5, 0, 27]
	] as const)(
		'%s of %s %i with a share of %f of the straw is %f',
		(method, crop, yieldGoal, residueShare, expected) => {
			expect(compute(method, crop, { yieldGoal, residueShare })).toBeCloseTo(expected, 9);
		}
	);
});

describe('sulfur and micronutrients', () => {
	it('never N without S: 10:1 early, 8:1 mid season, 5:1 late (common practice)', () => {
		const at = (when: string) => compute(`sulfur-practice/with-nitrogen-${when}`, 'corn-grain', { nitrogenRate: 120 });
		expect(['early', 'mid-season', 'late'].map(at)).toEqual([12, 15, 24]);
	});
	it('canola: 20 to 30 lb on most ground (common practice)', () => {
		const at = (yieldGoal: number) => compute('sulfur-practice/canola', 'canola', { yieldGoal });
		expect([1000, 2250, 4000].map(at)).toEqual([20, 25, 30]);
	});
	it('soil and organic matter first: KSU MF-2586 (2003) equations, from memory', () => {
		expect(compute('sulfur-credits/sulfur', 'corn-grain', { yieldGoal: 180, credits: 19.4 })).toBeCloseTo(16.6, 9);
		expect(compute('sulfur-credits/sulfur', 'winter-wheat', { yieldGoal: 60, credits: 40 })).toBe(0);
	});
	it('zinc for corn is short below 0.8 ppm DTPA, doubtful to 1.0 (common practice)', () => {
		const at = (soilTest: number) => compute('micronutrients/zinc', 'corn-grain', { soilTest });
		expect([0.79, 0.8, 1.0].map(at)).toEqual([10, 5, 0]);
	});
	it('boron: 1 lb/ac at most, 2 for alfalfa and sunflower (common practice)', () => {
		const most = (crop: CropId) => compute('micronutrients/boron', crop, { soilTest: 0.1 });
		expect([most('canola'), most('alfalfa'), most('sunflower')]).toEqual([1, 2, 2]);
	});
});

it('a guide with its own weight of soil says so where another density was measured', () => {
	const request = cornRequest();
	request.sample.layers[0]!.results.push({ analyte: 'bulkDensity', value: 1.1, unit: 'g/cm3' });
	const of = (method: string) => advise(request, library, '2026-11-20').rates.find((rate) => rate.method === method)!;
	const { worksheet } = of('tri-state-1995/phosphorus');
	expect(worksheet.applies && worksheet.cautions.join()).toContain('The guide’s own weight of soil is used');
	expect(worksheet.applies && worksheet.cautions.join()).toContain('not the measured 1.100 g/cm3');
});
