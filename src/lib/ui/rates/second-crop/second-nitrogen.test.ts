import { describe, expect, it } from 'vitest';
import { methodOf, OWN_RATE, secondNitrogen } from './second-nitrogen';

describe('the nitrogen of a second crop in a form', () => {
	const corn = { id: 'corn-grain' as const, yieldGoal: 110 };
	it('begins with what was settled on, and with none where that gives no rate any more', () => {
		const planted = { ...corn, nitrogen: { method: 'tri-state-1995/nitrogen' } };
		expect(methodOf({ planted: undefined, lapsed: false })).toBe('');
		expect(methodOf({ planted: corn, lapsed: false })).toBe('');
		expect(methodOf({ planted, lapsed: false })).toBe('tri-state-1995/nitrogen');
		expect(methodOf({ planted, lapsed: true })).toBe('');
		expect(methodOf({ planted: { ...corn, nitrogen: { ownRate: 60, reason: 'fair' } }, lapsed: false })).toBe(OWN_RATE);
	});
	it('is kept in pounds, with the reason of an own rate', () => {
		const typed = (change: object) =>
			secondNitrogen({ method: OWN_RATE, ownRate: '', reason: '', ...change }, undefined, 'metric');
		expect(typed({ method: '' })).toBeUndefined();
		expect(typed({ method: 'a/b', ownRate: 'x' })).toEqual({ method: 'a/b' });
		expect(typed({})).toBe('The own rate is not filled in.');
		expect(typed({ ownRate: 'much' })).toContain('Own rate “much” must be');
		expect(typed({ ownRate: '100', reason: ' a ' })).toBe('Say why: the reason stands on the sheet.');
		// 100 kg/ha are 89.218 lb/ac, by the exact definitions of pound and acre.
		expect(typed({ ownRate: '100', reason: ' dry July ' })).toEqual({
			ownRate: expect.closeTo(89.218, 3) as number,
			reason: 'dry July'
		});
	});
});
