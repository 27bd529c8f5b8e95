// Trade arithmetic and common practice with their numbers, from outside the project: handbook rules for calibration, product from
// nutrient and manure. Mixes against SciPy stand in blend/blend.outside.test.ts.
import { describe, expect, it } from 'vitest';
import { library } from '../testing.test-help';
import { productFor } from '../season/plan/pass/pass-nutrients';
import {
	distanceForLoad,
	groundSpeed,
	nozzleFlow,
	per100FtOfRow,
	perTree,
	rateFromLoad,
	tonsFromSheet
} from './calibration/rates';
import { firstYearNitrogen } from './manure/available-nitrogen';

const product = (id: string) => library.products.find((one) => one.id === id)!;

describe('product from nutrient (trade arithmetic)', () => {
	it.each([
		['ammonium-nitrate', 176, 0.6],
		['calcium-nitrate', 387, 0.3]
	])('60 lb N from %s is %d lb', (id, pounds, slack) => {
		expect(Math.abs(productFor(60, product(id), 'N') - pounds)).toBeLessThan(slack);
	});
	it('60 lb N from 13-0-44 is 461.5 lb', () =>
		expect(productFor(60, product('potassium-nitrate'), 'N')).toBeCloseTo(461.5, 1));
});

describe('manure (common practice)', () => {
	const litter = library.manures.kinds.find(({ id }) => id === 'poultry-litter')!;
	const [injected] = library.manures.handling;
	it('49 lb N a ton, 3.5 tons: 171.5 lb in all, half of it at once: 85.75', () => {
		const perTon = firstYearNitrogen({ totalN: 49, ammoniumN: undefined, p2o5: 60, k2o: 50 }, litter, injected!);
		expect(49 * 3.5).toBe(171.5);
		expect(perTon.value * 3.5).toBeCloseTo(85.75, 9);
	});
	it('litter gives 50 to 60 % in its first year, whatever its ammonium, where it is worked in at once', () => {
		for (const ammoniumN of [6, 10]) {
			const sameDay = library.manures.handling.find(({ id }) => id === 'same-day')!;
			const share = firstYearNitrogen({ totalN: 60, ammoniumN, p2o5: 0, k2o: 0 }, litter, sameDay).value / 60;
			expect(share).toBeGreaterThanOrEqual(0.5);
			expect(share).toBeLessThanOrEqual(0.6);
		}
	});
});

describe('calibration (trade arithmetic)', () => {
	it('tons/ac = lb caught x 21.78 / ft2 of the sheet', () => {
		expect(tonsFromSheet(2, 21.78).value).toBeCloseTo(2, 9);
		expect(tonsFromSheet(1, 12).value).toBeCloseTo(1.815, 3);
	});
	it('a load over a swath and a distance x 43,560, and back', () => {
		const rate = rateFromLoad(6000, 30, 1452).value;
		expect(rate).toBeCloseTo(6000, 6);
		expect(distanceForLoad(6000, 30, rate).value).toBeCloseTo(1452, 6);
	});
	it('gal/min of a nozzle = gal/ac x mph x spacing in / 5940', () => {
		expect(nozzleFlow(20, 6, 20).value).toBeCloseTo(0.404, 3);
		expect(nozzleFlow(5940, 1, 1).value).toBe(1);
	});
	it('88 ft in 10 s is 6 mph', () => expect(groundSpeed(88, 10).value).toBeCloseTo(6, 9));
	it('100 lb/ac on 7 m by 7 m (23 ft) palms is 1.21 lb a palm', () =>
		expect(perTree(100, 22.97, 22.97).value).toBeCloseTo(1.211, 3));
	it('handbook 2.5 to 4 lb of 10-10-10 for 100 ft at 25 to 40 lb N/ac fits 4.4 ft rows; on 12 ft rows it is a third', () => {
		expect(per100FtOfRow(250, 4.356, 'planted acre').value).toBeCloseTo(2.5, 9);
		expect(per100FtOfRow(400, 4.356, 'planted acre').value).toBeCloseTo(4, 9);
		const needed = per100FtOfRow(250, 12, 'planted acre').value;
		expect(2.5 / needed).toBeGreaterThan(0.33);
		expect(2.5 / needed).toBeLessThan(0.4);
	});
});

it('ammonium sulfate costs three times the lime of urea nitrogen (Pierre 1933, from memory), and the cards carry trade densities', () => {
	expect(product('ammonium-sulfate').acidity!.caco3Lb / product('urea').acidity!.caco3Lb).toBeCloseTo(3, 1);
	// lb/gal at 60 F, from memory
	const densities = {
		'uan-28': 10.67,
		'uan-32': 11.06,
		'app-10-34-0': 11.65,
		'ammonium-thiosulfate': 11.1,
		ammonia: 5.15
	};
	for (const [id, density] of Object.entries(densities)) expect(product(id).densityLbPerGal).toBe(density);
});
