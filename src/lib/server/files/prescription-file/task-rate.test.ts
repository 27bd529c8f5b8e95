// Outside check: the setpoint rates of ISO 11783-11 count 0.01 mm3/m2 (volume per area) and mg/m2 (mass per area); the definitions of
// the units (1 gal = 3.785411784 L, 1 ac = 4046.8564224 m2, 1 lb = 453.59237 g) are exact. The numbers of the dictionary are from memory.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rateOfTask, taskRate } from './task-rate';

const M2_PER_ACRE = 4046.8564224;

describe('rates in a task file', () => {
	it('gallons as hundredths of a cubic millimetre on a square metre', () => {
		const mm3 = (10 * 3.785411784e6) / M2_PER_ACRE;
		expect(taskRate(10, 'gal/ac')).toEqual({ ddi: '0001', value: Math.round(mm3 * 100) });
	});

	it('pounds and short tons as milligrams on a square metre', () => {
		const mg = (pounds: number) => Math.round((pounds * 453_592.37) / M2_PER_ACRE);
		expect(taskRate(120, 'lb/ac')).toEqual({ ddi: '0006', value: mg(120) });
		expect(taskRate(2.5, 'short ton/ac')).toEqual({ ddi: '0006', value: mg(5000) });
	});

	it.each([
		['lb/ac', 10],
		['gal/ac', 10],
		['short ton/ac', 1000]
	] as const)('%s come back as they went out', (unit, places) => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 5000 }), (steps) => {
				const rate = steps / places;
				expect(rateOfTask(taskRate(rate, unit).value, unit)).toBe(rate);
			})
		);
	});
});
