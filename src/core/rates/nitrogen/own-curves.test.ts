import { describe, expect, it } from 'vitest';
import type { InputError } from '../../check/problem';
import type { ResponseCurve } from '../../schema-types';
import { cornRequest, library } from '../../testing.test-help';
import { advise } from '../advise';
import { chosenRate } from '../choose';
import { checkCurve } from './check-curve';
import { speaksFor } from './own-curves';
import { readObservations } from './response/read-observations';

const curve: ResponseCurve = {
	id: 'own',
	title: 'Corn after soybean',
	crop: 'corn-grain',
	previousCrops: ['soybean'],
	textureClasses: ['silt loam'],
	curve: { model: 'quadratic-plateau', coefficients: { a: 100, b: 1, c: -0.0025 } },
	lowestRate: 0,
	highestRate: 240,
	basis: 'measured',
	source: 'Own strips'
};

describe('a curve of the library', () => {
	it('speaks for its crop, soil and rotation; what is not known speaks not against it', () => {
		const crop = { id: 'corn-grain', previousCrop: 'soybean' } as const;
		expect(speaksFor(curve, crop, { textureClass: 'silt loam' })).toBe(true);
		expect(speaksFor(curve, crop, {})).toBe(true);
		expect(speaksFor(curve, { id: 'corn-grain' }, {})).toBe(true);
		expect(speaksFor(curve, crop, { textureClass: 'sand' })).toBe(false);
		expect(speaksFor(curve, { ...crop, previousCrop: 'corn-grain' }, {})).toBe(false);
		expect(speaksFor(curve, { ...crop, id: 'corn-silage' }, {})).toBe(false);
	});

	it('gives the economic optimum at the objective asked for', () => {
		const rateAt = (objective?: 'most-yield' | 'most-profit' | 'least-left') =>
			advise(
				{
					...cornRequest(),
					prices: { grain: 4, nitrogen: 0.5 },
					responseCurves: [curve],
					...(objective ? { nitrogen: { objective, toleranceDollars: 10 } } : {}),
					methods: ['own-curves/own']
				},
				library,
				'2026-11-20'
			).rates[0]!;
		expect(rateAt().rate).toBeCloseTo(175, 6);
		expect(rateAt('most-yield').rate).toBeCloseTo(200, 6);
		expect(rateAt('least-left').rate).toBeCloseTo(175 - Math.sqrt(1000), 5);
		expect(rateAt().objectives?.mostYield).toMatchObject({ value: expect.closeTo(200, 6) });
		expect(rateAt().response).toMatchObject({ lowestRate: 0, highestRate: 240 });
	});

	it('does not apply without prices, and says which', () => {
		const request = { ...cornRequest(), prices: {}, responseCurves: [curve], methods: ['own-curves/own'] };
		const [rate] = advise(request, library, '2026-11-20').rates;
		expect(rate).toMatchObject({ applies: false, rate: null });
		expect(rate?.reason).toContain('no price of corn is known');
	});
});

describe('a simulated curve', () => {
	it('is named on its rate and by who set it', () => {
		const request = {
			...cornRequest(),
			prices: { grain: 4, nitrogen: 0.5 },
			responseCurves: [{ ...curve, simulated: true }],
			methods: ['own-curves/own']
		};
		const { rates } = advise(request, library, '2026-11-20');
		expect(rates[0]).toMatchObject({ simulated: true });
		const chosen = chosenRate({ nutrient: 'N', method: 'own-curves/own' }, rates);
		expect(chosen?.by).toBe('Own curves (simulated, not measured)');
		const measured = advise({ ...request, responseCurves: [curve] }, library, '2026-11-20').rates;
		expect(measured[0]).not.toHaveProperty('simulated');
		expect(chosenRate({ nutrient: 'N', method: 'own-curves/own' }, measured)?.by).toBe('Own curves');
	});
});

describe('a typed curve is refused with the coefficient named', () => {
	const withCoefficients = (
		model: ResponseCurve['curve']['model'],
		coefficients: ResponseCurve['curve']['coefficients']
	) => ({
		...curve,
		curve: { model, coefficients }
	});
	it.each([
		[withCoefficients('quadratic-plateau', { a: 100, b: 1 }), '/curve/curve/coefficients/c', 'must be given'],
		[withCoefficients('quadratic', { a: 100, b: 1, c: 0.1 }), '/curve/curve/coefficients/c', 'must be below 0'],
		[withCoefficients('quadratic', { a: 100, b: -1, c: -0.1 }), '/curve/curve/coefficients/b', 'must be above 0'],
		[withCoefficients('linear-plateau', { a: 1, b: 1, join: -4 }), '/curve/curve/coefficients/join', 'must be above 0'],
		[withCoefficients('mitscherlich', { a: 9, b: 1, c: 0.1, join: 3 }), '/curve/curve/coefficients/join', 'left out'],
		[{ ...curve, highestRate: 0 }, '/curve/highestRate', 'above the lowest tested rate of 0; got 0']
	])('%o', (wrong, path, message) => {
		let problems: InputError['problems'] = [];
		try {
			checkCurve(wrong, '/curve');
		} catch (error) {
			problems = (error as InputError).problems;
		}
		expect(problems[0]?.path).toBe(path);
		expect(problems[0]?.message).toContain(message);
	});
	it('in advise as in the book', () => {
		const wrong = withCoefficients('quadratic', { a: 100, b: 1, c: 0.1 });
		expect(() => advise({ ...cornRequest(), responseCurves: [curve, wrong] }, library, '2026-11-20')).toThrow(
			'/responseCurves/1/curve/coefficients/c must be below 0'
		);
	});
	it('a right one passes', () => expect(checkCurve(curve, '/curve')).toBe(curve));
});

describe('pasted plots', () => {
	it.each([
		['headings in any order', 'Block,Yield bu/ac,N rate\n1,120.5,0\n2,180,120'],
		['tabs', 'n_rate\tyield\tblock\n0\t120.5\t1\n120\t180\t2'],
		['no headings', '0;120.5;1\n120;180;2\n'],
		['notes and empty lines', '# a trial\n\nrate, yield, rep\n0, 120.5, 1\n\n120, 180, 2']
	])('with %s', (_name, text) => {
		expect(readObservations(text)).toEqual({
			observations: [
				{ rate: 0, yield: 120.5, block: '1' },
				{ rate: 120, yield: 180, block: '2' }
			],
			faults: []
		});
	});

	it('name every line that cannot be read, with its number and what would be right', () => {
		const { observations, faults } = readObservations('rate,yield\n0,120\nsixty,150\n90,\n-5,100\n120,180');
		expect(observations).toHaveLength(2);
		expect(faults).toEqual([
			{ line: 3, message: 'the rate “sixty” must be a number from 0 to 2000' },
			{ line: 4, message: 'the yield is empty; it must be a number from 0 to 1000000' },
			{ line: 5, message: 'the rate “-5” must be a number from 0 to 2000' }
		]);
	});

	it('ask for a column that is not there', () => {
		expect(readObservations('rate,weight\n0,1').faults[0]?.message).toContain('no column for the yield');
		expect(readObservations('plot,yield\n0,1').faults[0]?.message).toContain('no column for the rate');
		expect(readObservations('')).toEqual({ observations: [], faults: [] });
	});
});
