import { expect, it } from 'vitest';
import { intervalNow } from './interval-now';

const saved = { low: 130.7, high: 148.7, priceRatio: 0.9 / 3.5, level: 0.9 };

it('an interval belongs to the prices that it was drawn at', () => {
	expect(intervalNow(saved, 0.9 / 3.5)).toEqual({ low: 130.7, high: 148.7 });
	expect(intervalNow(saved, (0.9 / 3.5) * 1.015)).toHaveProperty('low');
	// The audit's second prices: 0.55 and 4.40.
	expect(intervalNow(saved, 0.55 / 4.4)).toHaveProperty('stale', expect.stringContaining('0.26'));
	expect(intervalNow(saved, undefined)).toHaveProperty('stale');
	expect(intervalNow(undefined, 0.2)).toBeUndefined();
});
