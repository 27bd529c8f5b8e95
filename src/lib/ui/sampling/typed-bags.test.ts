import { describe, expect, it } from 'vitest';
import { bagsOf, usualBags } from './typed-bags';

describe('bags as they are typed', () => {
	it('have one depth or several', () => {
		expect(bagsOf({ depths: '0-6, 6 to 24', cores: '20', byZone: false }, 'in')).toEqual({
			depths: [
				{ top: 0, bottom: 6, depthUnit: 'in' },
				{ top: 6, bottom: 24, depthUnit: 'in' }
			],
			cores: 20,
			byZone: false
		});
		expect(bagsOf(usualBags('cm'), 'cm')).toMatchObject({ depths: [{ bottom: 15, depthUnit: 'cm' }] });
	});

	it.each([
		['6-0', '15', 'The depth “6-0”'],
		['0-6,', '15', 'The depth “”'],
		['0-6', '0', 'The cores “0”'],
		['0-6', '12.5', 'The cores “12.5”'],
		['0-6', '101', '1 to 100']
	])('refuse depths “%s” and cores “%s”', (depths, cores, message) => {
		const read = bagsOf({ depths, cores, byZone: true }, 'in');
		expect('problem' in read && read.problem).toContain(message);
	});
});
