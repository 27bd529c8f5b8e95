import { describe, expect, it } from 'vitest';
import { bagsOf, usualBags } from './typed-bags';

describe('bags as they are typed', () => {
	it('have one depth or several', () => {
		expect(bagsOf({ depths: '0-6, 6 to 24', cores: '20', of: 'field', areaEach: 'x' }, 'us')).toEqual({
			depths: [
				{ top: 0, bottom: 6, depthUnit: 'in' },
				{ top: 6, bottom: 24, depthUnit: 'in' }
			],
			cores: 20,
			byZone: false
		});
		expect(bagsOf(usualBags('metric'), 'metric')).toMatchObject({ depths: [{ bottom: 15, depthUnit: 'cm' }] });
	});

	it('are of points of a grid, whose area is typed in the reader’s unit', () => {
		const points = { ...usualBags('metric'), of: 'point' as const };
		expect(bagsOf(points, 'metric')).toMatchObject({ byZone: false, acresEach: expect.closeTo(2.471, 3) as number });
		expect(bagsOf({ ...usualBags('us'), of: 'point' }, 'us')).toMatchObject({ acresEach: 2.5 });
		expect(bagsOf({ ...points, areaEach: '100' }, 'metric')).toEqual({
			problem: 'A point for “100” must be a number from 0.04047 to 40.47 ha.'
		});
		expect(bagsOf(usualBags('us'), 'us')).toMatchObject({ byZone: true });
	});

	it.each([
		['6-0', '15', 'The depth “6-0”'],
		['0-6,', '15', 'The depth “”'],
		['0-6', '0', 'The cores “0”'],
		['0-6', '12.5', 'The cores “12.5”'],
		['0-6', '101', '1 to 100']
	])('refuse depths “%s” and cores “%s”', (depths, cores, message) => {
		const read = bagsOf({ ...usualBags('us'), depths, cores }, 'us');
		expect('problem' in read && read.problem).toContain(message);
	});
});
