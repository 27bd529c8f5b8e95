// Limits of 10 and 25 % between the places: common practice of estates.
import { describe, expect, it } from 'vitest';
import { palmSpread } from './palm-spread';

const even = (road: number, middle: number, centre: number, palms = 10) => ({
	road: Array.from({ length: palms }, () => road),
	middle: Array.from({ length: palms }, () => middle),
	path: Array.from({ length: palms }, () => centre)
});

describe('the doses of a block of palms', () => {
	it('are content where the places agree and the mean is the dose', () => {
		expect(palmSpread(even(2.5, 2.5, 2.5), 2.5)).toMatchObject({
			mean: { value: 2.5 },
			bias: { value: 0 },
			apart: { value: 0 },
			severity: undefined
		});
		// 10 % apart is still content.
		expect(palmSpread(even(2.1, 2, 1.9), 2)?.severity).toBeUndefined();
	});
	it('worth a caution above 10 % between the places', () => {
		expect(palmSpread(even(2.12, 2, 1.9), 2)).toMatchObject({ severity: 'mind' });
	});
	it('stop from 25 % on: the far palms of a tired team', () => {
		const found = palmSpread(even(2.6, 2.2, 1.9), 2.5);
		expect(found?.severity).toBe('stop');
		expect(found?.apart.value).toBeCloseTo((100 * 0.7) / (6.7 / 3), 9);
	});
	it('by the dose too, though all palms got the same', () => {
		expect(palmSpread(even(1.8, 1.8, 1.8), 2.5)).toMatchObject({ apart: { value: 0 }, severity: 'stop' });
		expect(palmSpread(even(2.2, 2.2, 2.2), 2.5)?.severity).toBe('mind');
	});
	it('say nothing where a place was not looked at', () => {
		expect(palmSpread({ ...even(2, 2, 2), middle: [] }, 2)).toBeUndefined();
		expect(palmSpread(even(0, 0, 0), 2)).toBeUndefined();
	});
});
