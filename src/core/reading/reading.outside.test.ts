// Checks of the reading against publications and trade facts; the source stands beside each.
import { describe, expect, it } from 'vitest';
import { noNumbers } from '../packs/rule-kind';
import { FURROW_BULK_DENSITY, KG_HA_PER_LB_AC, LB_AC_PER_PPM_INCH, T_HA_PER_SHORT_TON_AC } from '../units/factors';
import type { CropId, Result } from '../schema-types';
import { library } from '../testing.test-help';
import { cationExchangeCapacity } from './soil/cec';
import { mineralNitrogen } from './soil/mineral-nitrogen';
import { readResult } from './soil/read-result';
import { soilNitrate } from './soil/soil-pounds';
import { soilLayers } from './soil/soil-layers';

const layer = (bottom: number, results: Result[]) =>
	soilLayers({ layers: [{ top: 0, bottom, depthUnit: 'in', results }] });

describe('conversions: common practice, and the exact definitions of pound, acre and inch', () => {
	it('1 lb/ac is 1.12085 kg/ha and 1 short ton/ac is 2.2417 t/ha', () => {
		expect(KG_HA_PER_LB_AC).toBeCloseTo(1.12085, 5);
		expect(T_HA_PER_SHORT_TON_AC).toBeCloseTo(2.2417, 4);
	});
	it('the furrow slice of 2,000,000 lb is 1.324 g/cm3, and a ppm in 24 in is 7.2 lb/ac', () => {
		expect(FURROW_BULK_DENSITY).toBeCloseTo(1.324, 3);
		expect(LB_AC_PER_PPM_INCH * 24).toBeCloseTo(7.2, 12);
	});
	it('nitrate of 10 ppm in 0-24 in is 72 lb/ac', () => {
		const nitrate = soilNitrate(layer(24, [{ analyte: 'NO3-N', value: 10, unit: 'ppm' }]), 24);
		expect(nitrate).toMatchObject({ applies: true, unit: 'lb/ac' });
		expect(nitrate.applies && nitrate.value).toBeCloseTo(72, 9);
	});
});

describe('CEC by summation: acidity 12 x (7.0 - SMP buffer pH), Ca/200.4, Mg/121.5, K/391 (laboratory practice, from memory)', () => {
	it('Ca 2004, Mg 243, K 195.5 ppm and SMP 6.5 make 10 + 2 + 0.5 + 6', () => {
		const cec = cationExchangeCapacity(
			layer(8, [
				{ analyte: 'Ca', value: 2004, unit: 'ppm' },
				{ analyte: 'Mg', value: 243, unit: 'ppm' },
				{ analyte: 'K', value: 195.5, unit: 'ppm' },
				{ analyte: 'bufferPh', method: 'smp', value: 6.5, unit: 'pH' }
			])
		);
		expect(cec.applies && cec.value).toBeCloseTo(18.5, 9);
	});
});

describe('relative yield by pH: Ohio Special Circular 53 (1938), from memory', () => {
	const rule = library.packs.rules.find(({ method }) => method === 'common-reading/relative-yield-ph')!;
	const yieldAt = (crop: CropId, soilPh: number) =>
		rule.forCrop(crop)!.evaluate(Object.assign(noNumbers(), { soilPh }));
	it.each([
		['corn-grain', 4.7, 34],
		['corn-grain', 5.0, 73],
		['winter-wheat', 5.7, 89],
		['oats', 6.8, 98],
		['barley', 5.0, 23],
		['soybean', 5.7, 80],
		['alfalfa', 5.7, 42]
	] as const)('%s at pH %f yields %i %%', (crop, soilPh, expected) => expect(yieldAt(crop, soilPh)).toBe(expected));

	it('runs straight between the points', () => expect(yieldAt('corn-grain', 5.35)).toBeCloseTo(78, 9));
});

describe('holding limit: ten pounds for each unit of CEC, capped at 250 (common practice)', () => {
	const rule = library.packs.rules.find(({ method }) => method === 'common-reading/holding-limit')!;
	const limit = (cec: number) => rule.forCrop(undefined)!.evaluate(Object.assign(noNumbers(), { cec }));
	it('CEC 12 holds 120, CEC 15 150, CEC 30 no more than 250', () =>
		expect([12, 15, 30].map(limit)).toEqual([120, 150, 250]));
});

describe('a measured bulk density stands in every conversion of weight (ppm x g/cm3 x cm x 0.1 = kg/ha)', () => {
	const layers = (value: number, unit: 'kg/ha' | 'lb/ac' | 'ppm', bulkDensity?: number) =>
		soilLayers(
			{
				layers: [
					{
						top: 0,
						bottom: 20,
						depthUnit: 'cm',
						results: [
							{ analyte: 'P', method: 'olsen', value, unit },
							{ analyte: 'NO3-N', value, unit },
							...(bulkDensity === undefined
								? []
								: [{ analyte: 'bulkDensity' as const, value: bulkDensity, unit: 'g/cm3' as const }])
						]
					}
				]
			},
			''
		);
	const value = (answer: ReturnType<typeof readResult>) => (answer.applies ? answer.value : undefined);
	it('P 30 kg/ha in 0-20 cm at 1.1 g/cm3 is 13.6 ppm, and 11.3 where none was measured', () => {
		expect(value(readResult(layers(30, 'kg/ha', 1.1), 'P'))).toBeCloseTo(13.636, 3);
		expect(value(readResult(layers(30, 'kg/ha'), 'P'))).toBeCloseTo(11.33, 2);
		expect(value(readResult(layers(30 / 1.12085, 'lb/ac', 1.1), 'P'))).toBeCloseTo(13.636, 3);
	});
	it('nitrate in pounds the other way round, with the density in the worksheet', () => {
		// 10 ppm x 1.1 x 20 x 0.1 = 22 kg/ha = 19.63 lb/ac
		const pounds = mineralNitrogen(layers(10, 'ppm', 1.1));
		expect(value(pounds)).toBeCloseTo(22 / 1.12085, 3);
		expect(JSON.stringify(pounds)).toContain('x 1.1 / 1.324 g/cm3, as measured');
	});
});
