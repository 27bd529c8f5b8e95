import { expect, test } from 'vitest';
import type { Zone } from '../schema-types';
import { zonesLabel } from './zones-label';

const zone = (name: string, x = 0, facts: Zone['facts'] = {}): Zone => ({
	name,
	shape: {
		type: 'Polygon',
		coordinates: [
			[
				[x, 0],
				[x + 1, 0],
				[x, 1],
				[x, 0]
			]
		]
	},
	facts
});

test('what the history says of zones that were put in place of others', () => {
	const [low, high] = [zone('Low'), zone('High', 2)];
	expect(zonesLabel([], [low, high], 'yield 2026')).toBe('Made 2 zones from yield 2026');
	expect(zonesLabel([low], [low, high])).toBe('Drew High');
	expect(zonesLabel([], [low, high])).toBe('Drew 2 zones');
	expect(zonesLabel([low, high], [low])).toBe('Removed High');
	expect(zonesLabel([low, high], [])).toBe('Removed the zones');
	expect(zonesLabel([low, high], [zone('Knob'), high])).toBe('Named Low Knob');
	expect(zonesLabel([low, high], [zone('A'), zone('B')])).toBe('Made 2 zones');
	expect(zonesLabel([low, high], [zone('Low', 5), high])).toBe('Changed the corners of Low');
	expect(zonesLabel([low], [zone('Low', 0, { yieldGoal: 90 })])).toBe('Changed what is known of the zones');
});
