import { describe, expect, it } from 'vitest';
import { askWhichStands, conflict } from './conflict.svelte';

describe('the adviser is asked which version stands', () => {
	it('by what differs between the book and the body, and until there is an answer', async () => {
		const asking = askWhichStands(
			{ crop: 'corn-grain', yieldGoal: 171 },
			{ crop: 'corn-grain', yieldGoal: 150, seen: { yieldGoal: 160 } }
		);
		expect(conflict.asked?.differences).toEqual([{ what: 'Yield goal', book: '171', own: '150' }]);
		conflict.asked!.choose('own');
		expect(await asking).toBe('own');
		expect(conflict.asked).toBeUndefined();
	});

	it.each([
		[
			'passes',
			[{ label: 'Urea', rate: 100 }],
			{ removed: ['a'], added: [{ label: 'Urea', rate: 90 }], because: { kind: 'mix', name: 'x' } },
			'Urea, rate'
		],
		[
			'zones',
			[{ id: 'z', facts: { yieldGoal: 5 } }],
			{ zones: [{ name: 'Low', facts: { yieldGoal: 7 } }] },
			'Low, yield goal'
		],
		['prices', { 'product:urea': 500 }, { prices: { 'product:urea': 540 }, seen: {} }, 'Price of urea'],
		['facts of a zone', { values: { P: 9 } }, { zone: 'Low', facts: { values: { P: 12 } }, year: 2027 }, 'P']
	])('of %s only what would be replaced is compared', async (_, now, body, what) => {
		const asking = askWhichStands(now, body);
		const shown = conflict.asked!.differences.map((one) => one.what);
		conflict.asked!.choose('book');
		expect(await asking).toBe('book');
		expect(shown).toContain(what);
		expect(shown.join(' ')).not.toMatch(/because|removed|seen|year/i);
	});
});
