import { describe, expect, test } from 'vitest';
import { passOf as pass } from './pass.test-help';
import { planLabel } from './plan-label';

describe('what the history says of a change of the plan', () => {
	const [urea, potash] = [pass('urea'), pass('potash')];
	test('by what goes and what comes', () => {
		expect(planLabel([], [urea])).toBe('Added urea');
		expect(planLabel([], [urea, potash])).toBe('Added urea, potash');
		expect(planLabel([urea], [])).toBe('Removed urea');
		expect(planLabel([urea, potash], [potash])).toBe('Removed urea');
		expect(planLabel([urea], [{ ...urea, rate: 7 }])).toBe('Changed urea');
		expect(planLabel([urea], [{ ...urea, date: '2027-05-04' }])).toBe('Moved urea to 4 May 2027');
		expect(planLabel([urea], [{ ...urea, date: '2027-05-04', rate: 7 }])).toBe('Changed urea');
		expect(planLabel([urea], [urea, potash])).toBe('Added potash to urea');
		expect(planLabel([urea], [pass('one'), pass('two')])).toBe('Changed urea');
		expect(
			planLabel(
				[],
				['a', 'b', 'c', 'd'].map((id) => pass(id))
			)
		).toBe('Added 4 passes');
	});

	test('a trip that goes to two days is no move', () => {
		const apart = [
			{ ...urea, date: '2027-05-04' },
			{ ...potash, date: '2027-05-05' }
		];
		expect(planLabel([urea, potash], apart)).toBe('Changed urea');
	});

	test('or by what it comes from', () => {
		expect(planLabel([urea], [potash], { kind: 'remedy', name: 'Split into two' })).toBe('Split into two');
		expect(planLabel([], [], { kind: 'programme', name: 'Spoon-fed' })).toBe('Chose the programme “Spoon-fed”');
		expect(planLabel([urea], [], { kind: 'source', name: 'Lime' })).toBe('Took Lime for urea');
		expect(planLabel([], [urea], { kind: 'source', name: 'Litter' })).toBe('Put Litter into the plan');
		expect(planLabel([urea], [potash], { kind: 'mix', name: 'a mix' })).toBe('Put a mix into the plan');
	});
});
