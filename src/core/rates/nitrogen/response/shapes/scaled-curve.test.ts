import fc from 'fast-check';
import { expect, it } from 'vitest';
import { coefficientsOf, responseModel, responseModels } from './models';
import { scaledCurve } from './scaled-curve';

const SHAPES = {
	'quadratic-plateau': { a: 110, b: 0.9, c: -0.002 },
	quadratic: { a: 110, b: 0.9, c: -0.002 },
	'linear-plateau': { a: 110, b: 0.5, join: 150 },
	mitscherlich: { a: 210, b: 100, c: 0.015 }
} as const;

it('gives every shape the same yield at the same rate, whatever both are counted in', () => {
	const share = fc.double({ min: 0, max: 1, noNaN: true });
	const factor = fc.double({ min: 0.05, max: 20, noNaN: true });
	fc.assert(
		fc.property(fc.constantFrom(...responseModels), share, factor, factor, ({ name }, at, perRate, perYield) => {
			const model = responseModel(name);
			const curve = { model: name, coefficients: SHAPES[name] };
			const rate = 250 * at;
			const there = model.yieldAt(coefficientsOf(curve), rate) * perYield;
			const scaled = coefficientsOf(scaledCurve(curve, { perRate, perYield }));
			expect(model.yieldAt(scaled, rate * perRate)).toBeCloseTo(there, 6);
		})
	);
});
