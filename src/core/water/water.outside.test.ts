// Irrigation water against published formulas and worked values (from memory: Ayers and Westcot, FAO 29 rev. 1, 1985; Rhoades 1974; USDA
// Handbook 60, 1954; Maas and Hoffman 1977), and against an independent calculation with SciPy (fixtures/water.py).
import { describe, expect, it } from 'vitest';
import { figure, valueIfKnown } from '../figure/figure';
import type { WaterReport, WaterRequest } from '../schema-types';
import { library } from '../testing.test-help';
import { acidAmounts } from './acid';
import { answerWater } from './answer-water';
import { acidByTitration, acidToPh, alkalinityPerCarbon } from './carbonate';
import independent from './fixtures/water.json';
import { meqOf, ppmOf } from './ions';
import { leachingRequirement, relativeYield } from './salt';
import { infiltration, residualSodiumCarbonate, sodiumAdsorptionRatio } from './sodium';

const measured = (value: number, unit = 'meq/L') => figure({ label: 'given', value, unit, basis: 'measured' });
const water = (ions: Omit<WaterReport, 'unit'>): WaterReport => ({ unit: 'meq/L', ...ions });
const limits = library.waterLimits;
const crop = (id: string) => library.crops.find((one) => one.id === id)!;
const ask = (request: WaterRequest) => answerWater(request, library);

describe('sodium and bicarbonate', () => {
	it('Ca 3.2, Mg 1.9, Na 6.5: SAR 4.07; CO3 0.2, HCO3 5.6: RSC 0.70', () => {
		const well = water({ ca: 3.2, mg: 1.9, na: 6.5, hco3: 5.6, co3: 0.2 });
		expect(valueIfKnown(sodiumAdsorptionRatio(well))).toBeCloseTo(4.07, 2);
		expect(valueIfKnown(residualSodiumCarbonate(well))).toBeCloseTo(0.7, 9);
	});
	it.each(independent.sodium)('as an independent calculation: Na $na over Ca $ca and Mg $mg', (one) => {
		const { sar, rsc, ...ions } = one;
		expect(valueIfKnown(sodiumAdsorptionRatio(water(ions)))).toBeCloseTo(sar, 10);
		expect(valueIfKnown(residualSodiumCarbonate(water(ions)))).toBeCloseTo(rsc, 10);
	});
	// FAO 29, table 1, from memory: SAR, no trouble above, severe under.
	it.each([
		[0, 0.7, 0.2],
		[3, 0.7, 0.2],
		[3.1, 1.2, 0.3],
		[6, 1.2, 0.3],
		[12, 1.9, 0.5],
		[20, 2.9, 1.3],
		[40, 5.0, 2.9]
	])('infiltration at SAR %f: none above %f, severe under %f dS/m', (sar, noneAbove, severeUnder) => {
		const at = (ec: number) => infiltration(sar, ec, limits.infiltration);
		expect([at(noneAbove + 0.01), at(noneAbove), at(severeUnder), at(severeUnder - 0.01)]).toEqual([
			'none',
			'slight to moderate',
			'slight to moderate',
			'severe'
		]);
	});
	it('beyond SAR 40 the table says nothing', () => {
		expect(infiltration(40.1, 9, limits.infiltration)).toBeUndefined();
	});
});

describe('units of a report', () => {
	// Atomic weights by charge.
	it.each([
		['ca', 20.04],
		['mg', 12.15],
		['na', 22.99],
		['k', 39.1],
		['hco3', 61.02],
		['co3', 30.0],
		['cl', 35.45],
		['so4', 48.03],
		['no3n', 14.007]
	] as const)('%s: %f ppm are 1 meq/L', (ion, weight) => {
		expect(valueIfKnown(meqOf({ unit: 'ppm', [ion]: weight }, ion))).toBeCloseTo(1, 9);
		expect(valueIfKnown(ppmOf(water({ [ion]: 2 }), ion))).toBeCloseTo(2 * weight, 9);
	});
	it('nitrate as nitrate is 22.6 % nitrogen; boron stays in ppm', () => {
		expect(valueIfKnown(ppmOf({ unit: 'ppm', no3: 44.27 }, 'no3n'))).toBeCloseTo(10, 2);
		expect(valueIfKnown(ppmOf(water({ no3: 1 }), 'no3n'))).toBeCloseTo(14.007, 9);
		expect(valueIfKnown(ppmOf(water({ b: 0.8 }), 'b'))).toBe(0.8);
	});
});

describe('salt', () => {
	it('ECw 1.2 where 1.5 is to be held: 0.190', () => {
		expect(valueIfKnown(leachingRequirement(measured(1.2), measured(1.5)))).toBeCloseTo(0.19, 3);
	});
	it.each(independent.leaching)('as an independent calculation: ECw $ecw, ECe $ece', ({ ecw, ece, share }) => {
		const answer = leachingRequirement(measured(ecw), measured(ece));
		if (share > 1) expect(answer.applies).toBe(false);
		else expect(valueIfKnown(answer)).toBeCloseTo(share, 9);
	});
	it('water that no leaching makes good says so', () => {
		expect(leachingRequirement(measured(8), measured(1.5))).toMatchObject({ applies: false });
	});
	// Maas and Hoffman 1977, from memory.
	it.each([
		['almond', 1.5, 19],
		['blackberry', 1.5, 22],
		['corn-grain', 1.7, 12],
		['corn-silage', 1.7, 12],
		['alfalfa', 2.0, 7.3],
		['soybean', 5.0, 20],
		['winter-wheat', 6.0, 7.1],
		['sorghum', 6.8, 16],
		['barley', 8.0, 5.0]
	])('%s: nothing lost up to %f dS/m, %f %% for each more', (id, threshold, slope) => {
		const at = (ece: number) => valueIfKnown(relativeYield(crop(id), measured(ece), limits));
		expect([at(threshold), at(threshold - 1), at(threshold + 1)]).toEqual([100, 100, 100 - slope]);
	});
	it('almond at 2.5: 81 %; corn at 3.0: 84.4 %; none below 0', () => {
		expect(valueIfKnown(relativeYield(crop('almond'), measured(2.5), limits))).toBeCloseTo(81, 9);
		expect(valueIfKnown(relativeYield(crop('corn-grain'), measured(3.0), limits))).toBeCloseTo(84.4, 9);
		expect(valueIfKnown(relativeYield(crop('almond'), measured(20), limits))).toBe(0);
	});
	it('avocado has no firm pair, and says that it is sensitive', () => {
		expect(relativeYield(crop('avocado'), measured(2), limits)).toMatchObject({
			applies: false,
			remedy: expect.stringContaining('sensitive') as string
		});
	});
});

describe('bicarbonate and acid', () => {
	it('a meq/L in an acre-foot: 133.4 lb of sulfuric acid, 266.5 of phosphoric with 193 of P2O5, 234.1 of gypsum', () => {
		const { sulfuric, phosphoric, phosphate, gypsum } = acidAmounts(measured(1));
		expect(sulfuric.value).toBeCloseTo(133.4, 1);
		expect(phosphoric.value).toBeCloseTo(266.5, 1);
		expect(phosphate.value).toBeCloseTo(193, 0);
		expect(gypsum.value).toBeCloseTo(234.1, 1);
		expect(phosphoric.cautions[0]).toContain('cannot do the job alone');
	});
	it.each([
		[4, 7.8, 6.5, 1.58],
		[6, 8.2, 6.5, 2.46],
		[3, 7.5, 6.0, 2.01]
	])('%f meq/L at pH %f to %f: %f meq/L', (alkalinity, ph, target, wanted) => {
		expect(valueIfKnown(acidToPh(measured(alkalinity), measured(ph), measured(target)))).toBeCloseTo(wanted, 2);
	});
	it.each(independent.acid)('as an independent calculation: $alkalinity meq/L, pH $ph to $target', (one) => {
		const answer = acidToPh(measured(one.alkalinity), measured(one.ph), measured(one.target));
		expect(valueIfKnown(answer)).toBeCloseTo(one.meqPerL, 8);
	});
	it.each(independent.split)('carbon at pH $ph splits as an independent calculation has it', ({ ph, hco3, co3 }) => {
		expect(alkalinityPerCarbon(ph)).toBeCloseTo(hco3 + 2 * co3, 10);
	});
	it('4 meq/L at 7.8 to 6.5 take 210.9 lb of sulfuric acid an acre-foot', () => {
		const answer = ask({ water: water({ hco3: 4, ph: 7.8 }), acidTo: 6.5 });
		expect(answer.acid!.lbPerAcreFoot).toBeCloseTo(210.9, 0);
		expect(answer.acid!.meqPerL).toBeCloseTo(1.58, 2);
	});
	it('a titration goes before the sum, and says where it ends', () => {
		const titration = [
			{ meqPerL: 0, ph: 7.8 },
			{ meqPerL: 2, ph: 6.4 },
			{ meqPerL: 1, ph: 6.9 }
		];
		const answer = ask({ water: water({ hco3: 4, ph: 7.8 }), acidTo: 6.5, titration });
		expect(answer.acid!.meqPerL).toBeCloseTo(1.8, 9);
		expect(acidByTitration(titration, measured(5.5))).toMatchObject({
			applies: false,
			reason: 'the titration runs from pH 7.8 to 6.4'
		});
	});
	it('three ways of it side by side: what each takes out and costs over 36 in', () => {
		const season = { acidTo: 6.5, inchesPerSeason: 36, irrigationsPerWeek: 3, acidPrice: 0.2 };
		const { approaches } = ask({ water: water({ hco3: 4, ph: 7.8 }), ...season });
		const of = (what: 'acid' | 'sulfuric' | 'takenOut' | 'cost') =>
			approaches!.map((one) => Number(valueIfKnown(one[what])!.toFixed(1)));
		// 133.36 lb for each meq/L and acre-foot, three acre-feet; a third of it on one irrigation of three.
		expect(of('acid')).toEqual([3, 1.6, 1.6]);
		expect(of('sulfuric')).toEqual([1200.2, 632.8, 210.9]);
		expect(of('takenOut')).toEqual([75, 39.5, 13.2]);
		expect(of('cost')).toEqual([240, 126.6, 42.2]);
		const told = ask({ water: water({ hco3: 0.9, ph: 7.8 }), acidTo: 6.5, inchesPerSeason: 36 }).approaches!;
		expect(told.map(({ acid }) => acid.applies)).toEqual([false, true, true]);
		expect(told[2]!.sulfuric).toMatchObject({ applies: false, remedy: 'Give irrigationsPerWeek.' });
		expect(told[1]!.cost).toMatchObject({ applies: false, remedy: 'Give acidPrice.' });
	});
	it('water at the target already takes none', () => {
		const { acid, worksheets } = ask({ water: water({ hco3: 4, ph: 6.4 }), acidTo: 6.5 });
		expect(acid).toBeNull();
		expect(worksheets.acidMeqPerL).toMatchObject({ applies: false, reason: 'the water is at pH 6.4 already' });
	});
});

describe('what a season of water brings', () => {
	it('2.72 lb N for each ppm and 12 in: 5 ppm in 36 in are 40.8 lb (common practice)', () => {
		const { nitrogenCredit, delivered } = ask({ water: { unit: 'ppm', no3n: 5 }, inchesPerSeason: 36 });
		expect(nitrogenCredit).toBeCloseTo(40.8, 9);
		expect(delivered).toEqual({ N: nitrogenCredit });
	});
	it('sulfate is a third sulfur, potassium is told as K2O', () => {
		const { delivered } = ask({ water: { unit: 'ppm', so4: 96.06, k: 10 }, inchesPerSeason: 12 });
		// 32.06 of 96.06 by atomic weight; K2O 1.2046 of K.
		expect(delivered.S).toBeCloseTo(32.06 * 2.72, 1);
		expect(delivered.K2O).toBeCloseTo(12.046 * 2.72, 1);
	});
	it('without the amount of water there is no credit, and it says what is missing', () => {
		const { nitrogenCredit, worksheets } = ask({ water: { unit: 'ppm', no3n: 5 } });
		expect(nitrogenCredit).toBeNull();
		expect(worksheets.nitrogenCredit).toMatchObject({ applies: false, remedy: 'Give inchesPerSeason.' });
	});
});

describe('cautions', () => {
	const sound: WaterReport = water({ ec: 1.05, ph: 7.4, ca: 5, mg: 3, na: 2.5, hco3: 1.9, cl: 3.9, so4: 4.8, k: 0.1 });
	const codes = (report: WaterReport, sprinkled = false) =>
		ask({ water: report, sprinkled }).cautions.map(({ code, severity }) => `${code} ${severity}`);

	it('sound water has none of sodium, salt or balance', () => {
		expect(codes({ ...sound, ph: 6.4 })).toEqual([]);
	});
	it('ions that do not balance within 10 % are asked about, and so are those off 10 x EC', () => {
		expect(codes({ ...sound, ph: 6.4, so4: 3.8 })).toEqual([]);
		expect(codes({ ...sound, ph: 6.4, so4: 3.6 })).toEqual(['ions-out-of-balance mind']);
		expect(codes({ ...sound, ph: 6.4, ec: 0.8 })).toEqual(['ions-against-conductivity mind']);
	});
	it('phosphate falls out above 50 ppm of calcium and pH 6.5, not at one of them', () => {
		expect(codes(sound)).toEqual(['phosphate-precipitates stop']);
		expect(codes({ ...sound, ca: 2.4, mg: 5.6 })).toEqual([]);
	});
	it.each([
		[{ cl: 4.1 }, 'toxic-cl mind'],
		[{ cl: 10.1 }, 'toxic-cl stop'],
		[{ b: 0.8 }, 'toxic-b mind'],
		[{ b: 3.1 }, 'toxic-b stop'],
		[{ fe: 0.2 }, 'clogging-fe note'],
		[{ mn: 1.6 }, 'clogging-mn mind'],
		[{ hco3: 2.1 }, 'clogging-hco3 note']
	])('%o: %s', (ions, code) => {
		expect(codes(water(ions))).toEqual([code]);
	});
	it('leaves burn sooner than roots', () => {
		expect(codes(water({ cl: 3.5, na: 3.5 }), false)).toEqual([]);
		expect(codes(water({ cl: 3.5, na: 3.5 }), true)).toEqual(['toxic-cl mind', 'toxic-na mind']);
	});
	it('sodium: the way into the soil, and the leaves', () => {
		expect(codes(water({ ec: 0.25, na: 6.5, ca: 3.2, mg: 1.9 }))).toEqual(['infiltration stop', 'sodium mind']);
	});
});

it('names a crop it does not know, and nitrate that was told twice', () => {
	expect(() => ask({ water: water({}), crop: 'durian' })).toThrow(/\/crop "durian" is no crop; known: corn-grain/);
	expect(() => ask({ water: water({ no3: 1, no3n: 1 }) })).toThrow('/water/no3 says the same as /water/no3n');
});

it('leaching goes by the crop, else by the salt that is to be held; carbonate is 0 where the pH leaves none', () => {
	const well = water({ ec: 1.2, ph: 7.9, hco3: 3, ca: 2, mg: 1 });
	expect(ask({ water: well, crop: 'almond', ece: 2.5 })).toMatchObject({
		leachingRequirement: expect.closeTo(1.2 / 6.3, 9) as number,
		relativeYield: 81,
		rsc: 0
	});
	expect(ask({ water: well, ece: 2.5 }).leachingRequirement).toBeCloseTo(1.2 / 11.3, 9);
	// The salt that a soil has is not what it is to be held at: a saltier soil needs no less leaching.
	expect(ask({ water: well, crop: 'avocado', ece: 6 }).leachingRequirement).toBeNull();
	expect(ask({ water: { ...well, ph: 8.4 } }).rsc).toBeNull();
	expect(ask({ water: well }).worksheets.leachingRequirement).toMatchObject({ applies: false });
});
