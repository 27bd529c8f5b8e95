import { expect, it } from 'vitest';
import { emptyZone, stripFacts, stripZoneOf } from './typed-strips';

const zone = (name: string, numbers: Partial<ReturnType<typeof emptyZone>['numbers']>) => ({
	name,
	numbers: { ...emptyZone().numbers, ...numbers }
});

const CORN = 'bu/ac of 56 lb';

// 1 t/ha of corn is 15.93 bu/ac: the trade's factor for bushels of 56 lb.
it('keeps what the strips are read by, areas in acres and yields in bushels: 10 ha are 24.7 ac, 6 t/ha are 95.6 bu', () => {
	const typed = zone(' North ', {
		areaAcres: '10',
		yieldWithout: '6',
		yieldRich: '10',
		index: '0.5',
		richIndex: '0.8'
	});
	const kept = stripZoneOf(typed, 'yield', 'metric', CORN, 0);
	expect(kept).toEqual({
		name: 'North',
		areaAcres: expect.closeTo(24.711, 3) as number,
		yieldWithout: expect.closeTo(95.59, 2) as number,
		yieldRich: expect.closeTo(159.3, 1) as number
	});
	expect(stripZoneOf(zone('', { yieldWithout: '98', index: '0.5', richIndex: '0.8' }), 'index', 'us', CORN, 1)).toEqual(
		{
			name: 'Zone 2',
			yieldWithout: 98,
			index: 0.5,
			richIndex: 0.8
		}
	);
});

it('says of which zone what is wrong, in the units that are typed', () => {
	const wrong = (numbers: Parameters<typeof zone>[1], by: 'yield' | 'index') =>
		stripZoneOf(zone('', numbers), by, 'metric', CORN, 0);
	expect(wrong({ yieldWithout: '98' }, 'yield')).toBe('Zone 1: Yield with plenty is not filled in.');
	expect(wrong({ yieldWithout: '98', index: '12', richIndex: '1' }, 'index')).toBe(
		'Zone 1: Canopy index “12” must be a number above 0, at most 10.'
	);
	expect(wrong({ areaAcres: '0', yieldWithout: '98', yieldRich: '1' }, 'yield')).toBe(
		'Zone 1: Area “0” must be a number above 0, at most 404700 ha.'
	);
	expect(stripFacts('us', CORN).areaAcres).toMatchObject({ unit: 'ac', most: 1_000_000 });
});
