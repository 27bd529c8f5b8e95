import { describe, expect, it } from 'vitest';
import type { Pass, Placement } from '../../schema-types';
import { library } from '../../testing.test-help';
import { dressingOfPass } from '../model/dressing-of-pass';
import { simulateSeason } from '../model/simulate-season';
import { depthOf, isNearSeed, isOnSurface, liesOf, offsetOf } from './placement-facts';

const urea = library.products.find(({ id }) => id === 'urea')!;
const ammonia = library.products.find(({ id }) => id === 'ammonia')!;
const pass = (placement: Placement, change: Partial<Pass> = {}): Pass => ({
	id: 'p',
	date: '2027-05-20',
	label: 'p',
	product: 'urea',
	rate: 200,
	unit: 'lb/ac',
	placement,
	reason: '',
	...change
});

describe('what a placement means', () => {
	it.each([
		['broadcast', 'surface', 0, true],
		['top-dress', 'surface', 0, true],
		['row-base stream', 'surface band', 0, true],
		['incorporated', 'mixed in', 3, false],
		['2x2 band', 'band', 3.5, false],
		['deep strip band', 'band', 6, false],
		['drip', 'mixed in', 4, false]
	] as const)('%s lies as %s, %d in deep', (placement, lies, depth, onSurface) => {
		expect(liesOf({ placement })).toBe(lies);
		expect(depthOf({ placement })).toBe(depth);
		expect(isOnSurface({ placement })).toBe(onSurface);
	});
	it('a depth or an offset of the pass comes before the usual one; ammonia goes deeper', () => {
		expect(depthOf({ placement: 'injected' })).toBe(5);
		expect(depthOf({ placement: 'injected' }, true)).toBe(7);
		expect(depthOf({ placement: 'injected', depthIn: 9 }, true)).toBe(9);
		expect(offsetOf({ placement: 'coulter mid-row' }, 30)).toBe(15);
		expect(offsetOf({ placement: 'coulter mid-row', offsetIn: 5 }, 30)).toBe(5);
		expect(offsetOf({ placement: '2x2 band' }, 30)).toBe(2);
		expect(dressingOfPass(pass('injected', { product: 'ammonia' }), ammonia, 3)!.depthCm).toBeCloseTo(17.78, 6);
	});
	it('bands within 3 in of the seed are near it, and what lies in the seed row is told apart', () => {
		const near = (placement: Placement, change: { depthIn?: number; offsetIn?: number } = {}) =>
			isNearSeed({ placement, ...change }, 30);
		expect(near('2x2 band')).toBe(true);
		expect(near('side band')).toBe(true);
		expect(near('injected', { offsetIn: 2, depthIn: 3 })).toBe(true);
		expect(near('deep strip band', { depthIn: 3 })).toBe(true);
		expect(near('deep strip band')).toBe(false);
		expect(near('mid-row band')).toBe(false);
		expect(near('seed row')).toBe(false);
		expect(near('broadcast')).toBe(false);
	});
	it('what lies in the soil loses less ammonia in warm dry weeks than what lies on top, streams less than broadcast', () => {
		const lost = (placement: Placement, change: Partial<Pass> = {}) => {
			const days = 30;
			const dry = {
				minC: Array(days).fill(14),
				maxC: Array(days).fill(28),
				rainMm: Array(days).fill(0),
				firstDayOfYear: 150,
				latitude: 41
			};
			const soil = {
				held: library.seasonModel.soilWater.percentByVolume['silt loam'],
				drainsPerDay: 25,
				organicMatterPercent: 2,
				soilPh: 6.8,
				residue: false,
				nitrate: [10, 5, 5] as const,
				ammonium: [5, 2, 2] as const,
				coverKilledOn: undefined,
				givenOff: []
			};
			const dressing = dressingOfPass(pass(placement, change), urea, 1)!;
			return simulateSeason(dry, days, soil, undefined, [dressing], library.seasonModel).volatilised.at(-1)!;
		};
		expect(lost('row-base stream')).toBeLessThan(lost('broadcast'));
		expect(lost('incorporated')).toBe(0);
		expect(lost('deep strip band')).toBe(0);
		expect(lost('side band', { depthIn: 4 })).toBeLessThan(0.05 * lost('broadcast'));
		expect(lost('broadcast', { additive: 'urease inhibitor' })).toBeLessThan(lost('broadcast'));
		// a heavy band 1.5 in deep loses no less than most of a broadcast
		expect(lost('side band', { depthIn: 1.5, rate: 300 })).toBeGreaterThan(0.6 * lost('broadcast', { rate: 300 }));
	});
});
