import { describe, expect, it } from 'vitest';
import { amountText } from './amount-text';

describe('an amount in a sentence', () => {
	it('speaks the units of its reader', () => {
		const [us, metric] = [amountText('us'), amountText('metric')];
		expect(us(84.16)).toBe('84.2 lb');
		// 1 lb/ac = 1.12085 kg/ha, from the exact definitions of pound and acre.
		expect(metric(84.16)).toBe('94.3 kg');
		expect(metric.ofArea(100, 'N')).toBe('112.1 kg N/ha');
		expect(us.ofArea(100, 'N')).toBe('100 lb N/ac');
		expect(metric.bare(100)).toBe('112.1');
	});

	it('says a threshold whole, and little of a trace element finely', () => {
		expect(amountText('metric')(50, 'whole')).toBe('56 kg');
		expect(amountText('metric')(2)).toBe('2.24 kg');
		expect(amountText('us')(0.75)).toBe('0.75 lb');
	});
});
