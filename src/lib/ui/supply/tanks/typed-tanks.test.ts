import { describe, expect, it } from 'vitest';
import { readTanks, type TypedDose, type TypedSystem } from './typed-tanks';

const doses: TypedDose[] = [{ product: 'urea', rate: '20', tank: '' }];
const drip: TypedSystem = { kind: 'drip', zones: '4', hours: '8', tank: '300', warmth: '50', acidTo: '' };
const about = { areaAcres: 24, water: undefined, units: 'us' } as const;

describe('stock tanks as they are typed', () => {
	it('become the request, in pounds, gallons and C', () => {
		expect(readTanks(doses, drip, about)).toEqual({
			areaAcres: 24,
			doses: [{ product: 'urea', lbPerAcre: 20 }],
			through: { kind: 'drip', zones: 4, hoursPerZone: 8 },
			tankGal: 300,
			waterC: 10
		});
	});
	it('in kilograms, litres and C for a reader of those', () => {
		const pivot: TypedSystem = { ...drip, kind: 'pivot', zones: '', tank: '378.5411784', warmth: '15', acidTo: '6.5' };
		const read = readTanks([{ product: 'urea', rate: '112.085', tank: 'D' }], pivot, { ...about, units: 'metric' });
		expect(read).toMatchObject({ through: { kind: 'pivot', hoursPerTurn: 8 }, waterC: 15, acidTo: 6.5 });
		if (typeof read === 'string') return expect.unreachable(read);
		expect(read.tankGal).toBeCloseTo(100, 6);
		expect(read.doses[0]).toEqual({ product: 'urea', lbPerAcre: expect.closeTo(100, 2) as number, tank: 'D' });
	});
	it.each([
		[[{ ...doses[0]!, rate: '0' }], {}, 'The dose “0”'],
		[[], {}, 'No dose goes with the water yet'],
		[doses, { hours: '' }, 'The hours “”'],
		[doses, { zones: '2.5' }, 'Zones “2.5” must be a whole number, 1 to 200'],
		[doses, { zones: '201' }, 'Zones “201”'],
		[doses, { tank: 'big' }, 'What a tank holds “big”'],
		[doses, { acidTo: '-1' }, 'The pH in the line “-1”']
	])('%o with %o is refused: %s', (given, change, says) => {
		expect(readTanks(given, { ...drip, ...change }, about)).toContain(says);
	});
});
