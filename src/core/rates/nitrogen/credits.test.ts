import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { AdviseRequest, CropId, NitrogenTerms, ResponseCurve } from '../../schema-types';
import { cornRequestWith, library } from '../../testing.test-help';
import { advise } from '../advise';

const TODAY = '2027-04-10';
/** The optimum at these prices is 175 lb: 1 - 0.005 N = 0.5 / 4. */
const CURVE: ResponseCurve = {
	id: 'own',
	title: 'Own strips',
	crop: 'corn-grain',
	curve: { model: 'quadratic-plateau', coefficients: { a: 100, b: 1, c: -0.0025 } },
	lowestRate: 0,
	highestRate: 240,
	basis: 'measured',
	source: 'Own strips'
};
const corn = (nitrogen: NitrogenTerms = {}): AdviseRequest => ({
	// A little nitrate that was measured: the placed factor asks for it.
	...cornRequestWith({ 'NO3-N': { value: 4, unit: 'ppm' } }),
	prices: { grain: 4, nitrogen: 0.5 },
	responseCurves: [CURVE],
	nitrogen
});
const curveRate = (nitrogen?: NitrogenTerms) =>
	advise({ ...corn(nitrogen), methods: ['own-curves/own'] }, library, TODAY).rates[0]!;

/** What each source brings, lb N/ac; water: 12 in at 10 ppm of nitrate-N, 2.266 lb for each ppm in an acre-foot x 10 (trade fact). */
const SOURCES: [string, NitrogenTerms, number][] = [
	['manure of this year', { manureN: 30 }, 30],
	['manure of earlier years', { earlierManureN: 12 }, 12],
	['starter', { starterN: 20 }, 20],
	['irrigation nitrate', { irrigationIn: 12, irrigationNitratePpm: 10 }, 27.2],
	['legume cover', { legumeCover: { dryMatterLbAc: 2000, nitrogenPercent: 3.5, availablePercent: 50 } }, 35]
];

describe('the economic optimum of a curve', () => {
	it.each(SOURCES)('comes down by %s', (_, terms, pounds) => {
		expect(curveRate(terms).rate).toBeCloseTo(175 - pounds, 1);
	});
	it('is none where credits bring more, with every credit as a line', () => {
		const { rate, worksheet } = curveRate(Object.assign({}, ...SOURCES.map(([, terms]) => terms), { manureN: 150 }));
		expect(rate).toBe(0);
		if (!worksheet.applies) throw new Error(worksheet.reason);
		expect(worksheet.inputs[0]!.value).toBeCloseTo(175, 6);
		expect(worksheet.inputs[1]!.inputs).toHaveLength(5);
	});
	it('moves all three objectives alike', () => {
		const [without, credited] = [curveRate().objectives!, curveRate({ manureN: 30 }).objectives!];
		for (const key of ['mostYield', 'mostProfit', 'leastLeft'] as const) {
			const [before, after] = [without[key], credited[key]];
			if (!before.applies || !after.applies) throw new Error(key);
			expect(after.value, key).toBeCloseTo(before.value - 30, 9);
		}
	});
});

describe('every approach to nitrogen for a season', () => {
	const almond = JSON.parse(readFileSync('demo/requests/almond-block.json', 'utf8')) as AdviseRequest;
	const perennial = (id: CropId, yieldGoal: number, plantedYear: number): AdviseRequest => ({
		...almond,
		crop: {
			...almond.crop,
			id,
			yieldGoal,
			block: { ...almond.crop.block!, plantedYear },
			blockYear: { leaf: { N: 2.2 } }
		},
		nitrogen: {}
	});
	const requests: AdviseRequest[] = [
		corn(),
		{
			...corn(),
			programme: [
				{ nitrogen: 30, daysFromPlanting: 0, placement: '2x2 band' },
				{ nitrogen: 50, daysFromPlanting: 40, placement: 'row-base stream' }
			]
		},
		{ ...corn(), crop: { id: 'winter-wheat', yieldGoal: 80, previousCrop: 'soybean' } },
		perennial('almond', 2500, 2012),
		perennial('avocado', 8000, 2012),
		perennial('apple', 20, 2012),
		perennial('apple', 20, 2026),
		perennial('hazelnut', 2500, 2012),
		perennial('blackberry', 8000, 2020),
		perennial('oil-palm', 10, 2012)
	];

	it('takes off what manure brings, and the balance counts it', () => {
		const seen = new Set<string>();
		for (const request of requests) {
			const [without, credited] = [0, 5].map((manureN) =>
				advise(
					{ ...request, methods: undefined, nitrogenRate: 60, nitrogen: { manureN } } as AdviseRequest,
					library,
					TODAY
				)
			);
			for (const [at, { nutrient, method, rate, worksheet }] of without!.rates.entries()) {
				const after = credited!.rates[at]!;
				if (nutrient !== 'N' || !worksheet.applies || rate === null || after.stands !== undefined) continue;
				seen.add(method);
				// Taken off inside a formula that multiplies afterwards, by efficiency or price, 5 lb weigh a little more or less.
				const less = rate - after.rate!;
				expect(less, `${method} ${request.crop.id}`).toBeGreaterThan(Math.min(rate, 4) - 1e-6);
				expect(less, `${method} ${request.crop.id}`).toBeLessThan(8);
			}
			const balances = [without!, credited!].map(({ nitrogen }) => nitrogen!.balance);
			if (balances[0]!.applies && balances[1]!.applies) {
				expect(balances[1]!.value - balances[0]!.value).toBeCloseTo(5, 9);
			}
		}
		expect([...seen].sort()).toEqual([
			'almond/nitrogen',
			'avocado/nitrogen',
			'cane-fruit/nitrogen',
			'hazelnut/nitrogen',
			'leaf-rates/nitrogen',
			'oil-palm/removal-nitrogen',
			'own-curves/own',
			'placed-nitrogen/corn',
			'pome-fruit/leaf-nitrogen',
			'pome-fruit/removal-nitrogen',
			'pome-fruit/young-nitrogen',
			'tri-state-1995/nitrogen'
		]);
	});
});
