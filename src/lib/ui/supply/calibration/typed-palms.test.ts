import { expect, it } from 'vitest';
import { readPalms } from './typed-palms';

it('reads the palms of three places, and says what it cannot read and where', () => {
	const typed = { road: '2.6, 2.5', middle: '2.4 2.5', path: '2.3;2.2' };
	expect(readPalms(typed)).toEqual({ road: [2.6, 2.5], middle: [2.4, 2.5], path: [2.3, 2.2] });
	expect(readPalms({ ...typed, middle: ' ' })).toBe('Weigh some palms in the middle too.');
	expect(readPalms({ ...typed, path: '2.3, much' })).toBe('“much” at the centre path must be kilograms, 0 or more.');
	expect(readPalms({ ...typed, road: '-1' })).toContain('“-1” near the road');
});
