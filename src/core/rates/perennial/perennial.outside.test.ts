// Rates of orchards, cane fruit and palms against the guidance named at each check; the publications are from memory.
import { expect, it } from 'vitest';
import { readLibrary } from '../../../lib/server/knowledge';
import { allCautions, type Answer } from '../../figure/figure';
import type { AdviseRequest, Block, BlockYear, Rate, Result } from '../../schema-types';
import { advise } from '../advise';

const library = readLibrary('packs');
const value = (answer: Answer | undefined) => (answer?.applies ? answer.value : NaN);

interface Asked {
	crop: string;
	yieldGoal: number;
	block?: Block;
	blockYear?: BlockYear;
	nitrogen?: AdviseRequest['nitrogen'];
	units?: AdviseRequest['units'];
	/** Beside pH, of the sample. */
	results?: Result[];
}

function rateFrom(
	method: string,
	{ crop, yieldGoal, block, blockYear, nitrogen, units = 'us', results = [] }: Asked
): Rate {
	const request: AdviseRequest = {
		units,
		field: {},
		sample: {
			layers: [
				{
					top: 0,
					bottom: 8,
					depthUnit: 'in',
					results: [{ analyte: 'pH', value: 6.2, unit: 'pH', method: 'water' }, ...results]
				}
			]
		},
		crop: { id: crop, yieldGoal, year: 2027, ...(block ? { block } : {}), ...(blockYear ? { blockYear } : {}) },
		methods: [method],
		...(nitrogen ? { nitrogen } : {})
	};
	return advise(request, library, '2026-11-23').rates[0]!;
}

const almonds = (plantedYear: number): Block => ({ plantedYear, rowSpacing: 22, plantSpacing: 18 });

// University of California almond guidance: 2,500 lb, mature, 36 in of water at 5 ppm nitrate-N.
it('almond: 278.6 lb N less 40.8 in the water is 237.8', () => {
	const nitrogen = { irrigationIn: 36, irrigationNitratePpm: 5 };
	const asked = { crop: 'almond', yieldGoal: 2500, block: almonds(2012) };
	expect(rateFrom('almond/nitrogen', asked).rate).toBeCloseTo(278.57, 2);
	expect(rateFrom('almond/nitrogen', { ...asked, nitrogen }).rate).toBeCloseTo(237.77, 2);
});

// The same guidance: growth of young trees 25 to 40 lb; its steps by age are judgement.
it.each([
	[2026, 30],
	[2024, 45],
	[2022, 40],
	[2015, 25]
])('almond planted in %s takes %s lb N/ac for growth', (planted, growth) => {
	const { rate } = rateFrom('almond/nitrogen', { crop: 'almond', yieldGoal: 1000, block: almonds(planted) });
	expect(rate).toBeCloseTo((68 + growth) / 0.7, 6);
});

// The same guidance: 80 lb K in 1,000 lb of kernel, times 1.2046.
it('almond: K2O that 1,000 lb of kernel remove', () => {
	expect(rateFrom('almond/potassium', { crop: 'almond', yieldGoal: 1000 }).rate).toBeCloseTo(96.37, 2);
});

// Stiles and Reid 1991, Cornell bulletin 219: base 45, target 2.2 %, 10 % for each 0.1 %.
it.each([
	[1.9, 58.5],
	[2.2, 45],
	[2.35, 38.25],
	[1.2, 67.5],
	[3.5, 0]
])('apple: leaf N of %s %% calls for %s lb N/ac', (leafN, expected) => {
	const rate = rateFrom('pome-fruit/leaf-nitrogen', {
		crop: 'apple',
		yieldGoal: 20,
		blockYear: { leaf: { N: leafN } }
	});
	expect(rate.rate).toBeCloseTo(expected, 9);
	expect(rate.worksheet.applies && allCautions(rate.worksheet).join(' ')).toContain('Never on leaf N alone');
});

// Common practice: 0.02 lb a tree in year 1, then 0.04 lb a tree and year, at most the mature rate.
it.each([
	[2027, 145.2 * 0.02],
	[2026, 145.2 * 0.08],
	[2024, 145.2 * 0.16],
	[2022, 145.2 * 0.24]
])('apple planted in %s gets %s lb N/ac by age', (plantedYear, expected) => {
	const block = { plantedYear, rowSpacing: 20, plantSpacing: 15 };
	const rate = rateFrom('pome-fruit/young-nitrogen', { crop: 'apple', yieldGoal: 1, block });
	expect(rate.rate).toBeCloseTo(expected, 9);
	expect(value(rate.perPlant)).toBeCloseTo(expected / 145.2, 9);
});

it('apple by age ends with the young trees, and a dense planting stays at the mature rate', () => {
	const dense = { plantedYear: 2023, rowSpacing: 12, plantSpacing: 3 };
	expect(rateFrom('pome-fruit/young-nitrogen', { crop: 'apple', yieldGoal: 1, block: dense }).rate).toBe(45);
	const old = rateFrom('pome-fruit/young-nitrogen', {
		crop: 'apple',
		yieldGoal: 20,
		block: { ...dense, plantedYear: 2010 }
	});
	expect(old.reason).toContain('years 1 to 6 of a planting, and this is year 18');
});

// Removal in a short ton of fruit, common tables: 1.0 lb N, 0.5 P2O5, 2.9 K2O.
it.each([
	['removal-nitrogen', 20],
	['phosphorus', 10],
	['potassium', 58]
])('apple: 20 tons remove by %s %s lb', (rule, expected) => {
	expect(rateFrom(`pome-fruit/${rule}`, { crop: 'apple', yieldGoal: 20 }).rate).toBeCloseTo(expected, 9);
});

// Salazar-Garcia and Lazcano 2001: in 1,000 kg of Hass fruit 2.6 kg N, 1.05 kg P2O5, 4.7 kg K2O.
it.each([
	['nitrogen', 2.6],
	['phosphorus', 1.05],
	['potassium', 4.7]
])('avocado: 1,000 kg/ha of fruit remove by %s %s kg/ha', (rule, expected) => {
	const yieldGoal = 1000 / 1.12085;
	expect(rateFrom(`avocado/${rule}`, { crop: 'avocado', yieldGoal, units: 'metric' }).rate).toBeCloseTo(expected, 3);
});

// Oregon State EM 8786: more below 2.21 % leaf N, none above 2.5 %.
it.each([
	[2.2, 200],
	[2.21, 100],
	[2.49, 100],
	[2.5, 0]
])('hazelnut: leaf N of %s %% calls for %s lb N/ac', (leafN, expected) => {
	const asked = { crop: 'hazelnut', yieldGoal: 2500, blockYear: { leaf: { N: leafN } } };
	expect(rateFrom('hazelnut/nitrogen', asked).rate).toBe(expected);
});

// Common practice: a usual rate at the middle of the leaf's range, a tenth of it for each 0.1 %; boron and zinc on the leaves.
it.each([
	['nitrogen', 'almond', { N: 2.25 }, 220],
	['nitrogen', 'avocado', { N: 2.2 }, 100],
	['nitrogen', 'blackberry', { N: 2.85 }, 56],
	['nitrogen', 'oil-palm', { N: 2.1 }, 104],
	['potassium', 'almond', { K: 1.2 }, 225],
	['boron', 'apple', { B: 34.9 }, 1],
	['boron', 'apple', { B: 35 }, 0.5],
	['boron', 'almond', { B: 31 }, 0],
	['zinc', 'avocado', { Zn: 29 }, 1]
] as const)('%s by leaf for %s at %o', (rule, crop, leaf, expected) => {
	const block = { plantedYear: 2015 };
	const rate = rateFrom(`leaf-rates/${rule}`, { crop, yieldGoal: 10, block, blockYear: { leaf } });
	expect(rate.rate).toBeCloseTo(expected, 9);
});

it('young plantings get no rate of bearing ones by leaf', () => {
	const asked = { crop: 'almond', yieldGoal: 500, blockYear: { leaf: { N: 2.2 } } } as const;
	const young = rateFrom('leaf-rates/nitrogen', { ...asked, block: almonds(2023) });
	expect(young).toMatchObject({ applies: false, rate: null });
	expect(young.reason).toContain('for year 7 on of a planting, and this is year 5');
	expect(rateFrom('leaf-rates/nitrogen', { ...asked, block: almonds(2021) }).rate).toBeCloseTo(230, 9);
	expect(rateFrom('leaf-rates/nitrogen', asked).reason).toContain('the block is not described');
});

// Common practice: 25 to 50 lb N/ac in the planting year, 60 to 80 bearing; P2O5 40 to 60, K2O 200 to 400 before planting.
it.each([
	['nitrogen', 2027, 25, 50],
	['nitrogen', 2024, 60, 80],
	['phosphorus', 2027, 40, 60],
	['potassium', 2027, 200, 400]
])('blackberry %s, planted in %s, lies between %s and %s lb/ac', (rule, plantedYear, low, high) => {
	const canes = { crop: 'blackberry', yieldGoal: 10_000, block: { plantedYear } } as const;
	expect(rateFrom(`cane-fruit/${rule}`, { ...canes, results: soilTests(15, 90) }).rate).toBe((low + high) / 2);
});

const soilTests = (p: number, k: number): Result[] => [
	{ analyte: 'P', method: 'bray-p1', value: p, unit: 'ppm' },
	{ analyte: 'K', method: 'ammonium-acetate', value: k, unit: 'ppm' }
];

it('blackberry: no P2O5 or K2O before planting where the soil test is high, and no rate without one', () => {
	const canes = { crop: 'blackberry', yieldGoal: 10_000, block: { plantedYear: 2027 } } as const;
	for (const rule of ['phosphorus', 'potassium']) {
		expect(rateFrom(`cane-fruit/${rule}`, { ...canes, results: soilTests(80, 420) }).rate, rule).toBe(0);
		expect(rateFrom(`cane-fruit/${rule}`, { ...canes, results: soilTests(39, 199) }).rate, rule).toBeGreaterThan(0);
		expect(rateFrom(`cane-fruit/${rule}`, canes).rate, rule).toBeNull();
	}
});

// von Uexkull and Fairhurst 1991: a tonne of bunches removes 2.9 kg N, 0.44 kg P, 3.7 kg K, 0.77 kg Mg.
it.each([
	['removal-nitrogen', 1, 507],
	['removal-phosphorus', 2.2914, 77],
	['removal-potassium', 1.2046, 647],
	['removal-magnesium', 1, 135]
])('palms: 25 t/ha on 143 palms by %s', (rule, oxide, grams) => {
	const asked = { crop: 'oil-palm', yieldGoal: 25 / 2.2417, units: 'metric' } as const;
	const { rate } = rateFrom(`oil-palm/${rule}`, asked);
	expect((1000 * rate!) / oxide / 143).toBeCloseTo(grams, 0);
});

it('a leaf test or a block that is missing is asked for, and is no rate of 0', () => {
	const noLeaf = rateFrom('pome-fruit/leaf-nitrogen', { crop: 'apple', yieldGoal: 20 });
	expect(noLeaf).toMatchObject({ applies: false, rate: null });
	expect(noLeaf.reason).toContain('no leaf test gives N');
	const noBlock = rateFrom('almond/nitrogen', { crop: 'almond', yieldGoal: 2500 });
	expect(noBlock.reason).toContain('the block is not described');
});

it('gives each rate on four bases, in both systems', () => {
	const block = { plantedYear: 2020, rowSpacing: 10, plantSpacing: 3, treatedWidth: 4 };
	const us = rateFrom('cane-fruit/nitrogen', { crop: 'blackberry', yieldGoal: 10_000, block });
	expect([us.perPlant, us.per100Row, us.perTreated].map((answer) => value(answer as Answer))).toEqual([
		expect.closeTo(70 / 1452, 9),
		expect.closeTo(70 / 43.56, 9),
		expect.closeTo(175, 9)
	]);
	const metric = rateFrom('cane-fruit/nitrogen', { crop: 'blackberry', yieldGoal: 10_000, block, units: 'metric' });
	expect(metric.per100Row).toMatchObject({ unit: 'kg/100 m' });
});
