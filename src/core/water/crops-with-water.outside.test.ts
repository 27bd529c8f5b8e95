// Soil of 1.5 times the salt of its water at usual leaching: Ayers and Westcot, FAO 29 (1985), Table 4, whose pairs of ECe and
// ECw stand in that ratio (corn 1.7 and 1.1, alfalfa 2.0 and 1.3, wheat 6.0 and 4.0 at full yield); written from memory.
import { describe, expect, it } from 'vitest';
import { figure } from '../figure/figure';
import { library } from '../testing.test-help';
import { cropsWithWater, soilSaltUnder } from './crops-with-water';

const { crops, waterLimits } = library;
const under = (request: Parameters<typeof cropsWithWater>[0]) =>
	new Map(cropsWithWater(request, crops, waterLimits).map((row) => [row.crop.id, row]));
const value = (answer: { applies: boolean; value?: number }) => (answer.applies ? answer.value : undefined);

describe('crops under one water', () => {
	it.each([
		[1.1, 1.7],
		[1.3, 2.0],
		[4.0, 6.0]
	])('water of %f dS/m makes soil of %f', (ecw, ece) => {
		const salt = soilSaltUnder(figure({ label: 'EC', value: ecw, unit: 'dS/m', basis: 'measured' }));
		expect(Math.abs(salt.value - ece)).toBeLessThan(0.06);
	});
	it('of 2.0 dS/m: soil of 3.0, corn 84.4 %, almond 71.5, wheat and barley whole; hardiest first', () => {
		const rows = under({ water: { unit: 'ppm', ec: 2 } });
		expect(value(rows.get('corn-grain')!.yield)).toBeCloseTo(84.4, 6);
		expect(value(rows.get('almond')!.yield)).toBeCloseTo(71.5, 6);
		expect(value(rows.get('winter-wheat')!.yield)).toBe(100);
		expect([...rows.keys()][0]).toBe('barley');
		// 1.2 at 1.5 dS/m: 0.190.
		expect(value(under({ water: { unit: 'ppm', ec: 1.2 } }).get('almond')!.leaching)).toBeCloseTo(0.19, 3);
	});
	it('goes by the soil that was measured where it was', () => {
		const { yield: almond } = under({ water: { unit: 'ppm', ec: 0.3 }, ece: 2.5 }).get('almond')!;
		expect(value(almond)).toBeCloseTo(81, 6);
	});
	it('gives no number for avocado, and none without conductivity, and says why', () => {
		expect(under({ water: { unit: 'ppm', ec: 1 } }).get('avocado')!.threshold).toMatchObject({ applies: false });
		expect(under({ water: { unit: 'ppm' } }).get('corn-grain')!.yield).toMatchObject({
			applies: false,
			reason: 'the report gives no conductivity'
		});
	});
	it('chloride in the soil burns woody leaves, on sprinkled leaves all; boron whatever it is', () => {
		const burns = (sprinkled: boolean) => {
			const rows = under({ water: { unit: 'meq/L', cl: 5, b: 1 }, sprinkled });
			return ['almond', 'corn-grain'].map((id) => rows.get(id)!.burns.map(({ code }) => code));
		};
		expect(burns(false)).toEqual([['toxic-cl', 'toxic-b'], ['toxic-b']]);
		expect(burns(true)[1]).toContain('toxic-cl');
	});
});
