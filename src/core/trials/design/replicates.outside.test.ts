// Power of a two-sided t test against R's power.t.test; fixtures/sites.R makes the numbers anew.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { powerOf, replicatesNeeded, seenDifference } from './replicates';

const R = JSON.parse(readFileSync(new URL('../fixtures/sites.json', import.meta.url), 'utf8')) as {
	needed: [number, number, number];
	power: [number, number, number][];
};

describe('power', () => {
	it('is R’s over replicates and differences', () => {
		expect(R.power).toHaveLength(20);
		for (const [n, difference, power] of R.power) {
			expect(Math.abs(powerOf(n, difference, 8) - power), `${n} ${difference}`).toBeLessThan(1e-6);
		}
	});
	it('replicates needed are R’s, rounded up: 12, 17, 42', () => {
		const needed = [10, 8, 5].map((difference) => replicatesNeeded(difference, 8));
		expect(needed).toEqual([12, 17, 42]);
		expect(R.needed.map(Math.ceil)).toEqual(needed);
	});
	it('the difference that is seen needs as many replicates as there are, and nothing is promised beyond 200', () => {
		expect(powerOf(6, seenDifference(6, 8), 8)).toBeCloseTo(0.8, 9);
		expect(replicatesNeeded(0.5, 8)).toBeUndefined();
	});
});
