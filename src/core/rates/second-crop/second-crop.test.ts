import { describe, expect, it } from 'vitest';
import type { AdviseRequest, SecondCrop } from '../../schema-types';
import { cornRequest, cornRequestWith, library } from '../../testing.test-help';
import { advise, siteOf } from '../advise';
import { checkSecondCrop } from './check-second-crop';
import { previousCropOf } from './previous-crop';
import { secondSite } from './second-rates';

const wheat = (base = cornRequest(), change: Partial<AdviseRequest> = {}): AdviseRequest => ({
	...base,
	crop: { id: 'winter-wheat', yieldGoal: 85, previousCrop: 'corn-grain', residueRemovedPercent: 50 },
	...change
});
const soybean = { id: 'soybean' as const, yieldGoal: 28 };
const answer = (request: AdviseRequest) => advise(request, library, '2026-11-20');
const second = (method: string, request: AdviseRequest) =>
	answer(request).secondRates!.find((rate) => rate.method === method);

describe('the rates of a second crop', () => {
	it('are those of its own goal on the same soil test', () => {
		// Soybean by E-2567, from memory: 28 bu x 0.80; its build-up of (15 - 10) ppm x 5 is in wheat's rate. IPNI removal: 28 x 0.73.
		expect(second('tri-state-1995/phosphorus', wheat(cornRequest(), { secondCrop: soybean }))!.rate).toBeCloseTo(
			22.4,
			9
		);
		expect(second('crop-removal/phosphorus', wheat(cornRequest(), { secondCrop: soybean }))!.rate).toBeCloseTo(
			20.44,
			9
		);
		expect(answer(wheat()).secondRates).toBeUndefined();
	});
	it('charge build-up and the extra of a guide once: wheat 80 and soybean 55 at P 10, K 95, CEC 14', () => {
		// E-2567 (1995), from memory: P 75.4 + 50 and 44 lb; K 55.1 + 20 and 77.5 lb. The two alone would be 194.4 and 197.6.
		const soil = cornRequestWith({
			P: { method: 'bray-p1', value: 10, unit: 'ppm' },
			K: { value: 95, unit: 'ppm', method: 'ammonium-acetate' },
			CEC: { value: 14, unit: 'meq/100g' }
		});
		const both = (method: string) => {
			const request = wheat(soil, { secondCrop: { ...soybean, yieldGoal: 55 } });
			const rates = answer({ ...request, crop: { ...request.crop, yieldGoal: 80, residueRemovedPercent: 0 } }).rates;
			const found = rates.find((rate) => rate.method === method)!.bothYears!;
			if (!found.applies) throw new Error(found.reason);
			return found.value;
		};
		expect(both('tri-state-1995/phosphorus')).toBeCloseTo(194.4 - 25, 1);
		expect(both('tri-state-1995/potassium')).toBeCloseTo(197.6 - (15 * 1.7 + 20), 1);
	});
	it('know nothing of the straw, the tests and the nitrogen of the first', () => {
		// 28 bu x 1.17 lb K2O; the half of the straw that leaves is wheat's.
		const request = wheat(cornRequest(), { secondCrop: soybean, nitrogenRate: 90 });
		expect(second('crop-removal/potassium', request)!.rate).toBeCloseTo(32.76, 9);
		const corn = { id: 'corn-grain' as const, yieldGoal: 90 };
		const nitrate = cornRequestWith({ 'NO3-N': { value: 12, unit: 'ppm' } });
		const plains = second('northern-plains/nitrogen-corn', wheat(nitrate, { secondCrop: corn }));
		const after = second('tri-state-1995/nitrogen', wheat(cornRequest(), { secondCrop: corn }))!;
		const credited = answer({ ...wheat(), crop: { ...corn, previousCrop: 'winter-wheat' } });
		expect(after.rate).toBe(credited.rates.find(({ method }) => method === after.method)!.rate);
		expect(plains?.applies ?? false).toBe(false);
		expect(
			answer(wheat(nitrate, { secondCrop: corn })).secondRates!.filter(({ reason }) => /no nitrate/.test(reason ?? ''))
				.length
		).toBeGreaterThan(0);
	});
	it('stand on the first as the crop before', () => {
		const corn = { id: 'corn-grain' as const, yieldGoal: 120 };
		const after = (previousCrop: 'soybean' | 'winter-wheat') =>
			answer({ ...cornRequest(), crop: { ...corn, previousCrop } }).rates.find(
				({ method }) => method === 'tri-state-1995/nitrogen'
			)!.rate!;
		const soybeanFirst = {
			...cornRequest(),
			crop: { ...soybean, previousCrop: 'winter-wheat' as const },
			secondCrop: corn
		};
		expect(second('tri-state-1995/nitrogen', soybeanFirst)!.rate).toBe(after('soybean'));
		expect(after('soybean')).toBeLessThan(after('winter-wheat'));
	});
	it('count with the first where both go on in one pass, before the crop of the next year', () => {
		const request = wheat(cornRequest(), { secondCrop: soybean, nextCrop: { id: 'corn-grain', yieldGoal: 160 } });
		const both = answer(request).rates.find(({ method }) => method === 'crop-removal/potassium')!.bothYears!;
		// Wheat 85 x 0.29 with half of the straw, 85 x 1.2 x 0.5 lb; soybean 32.76.
		expect(both).toMatchObject({ applies: true, formula: 'first crop + second crop', cautions: [] });
		expect(both.applies && both.value).toBeCloseTo(85 * 0.29 + 85 * 1.2 * 0.5 + 32.76, 6);
		expect(both.applies && both.inputs[1]!.label).toBe('for soybean as second crop');
	});
	it('and its removal stand in each year of the outlook, the next crop in turn', () => {
		const request = wheat(cornRequest(), { secondCrop: soybean, outlookYears: 2 });
		const years = (one: AdviseRequest) =>
			answer(one).outlooks!.find(({ method }) => method === 'tri-state-1995/phosphorus')!.years;
		const bare = years(wheat(cornRequest(), { outlookYears: 2 }));
		// The straw's P is that of wheat alone.
		expect(years(request)[0]!.removal - bare[0]!.removal).toBeCloseTo(28 * 0.73, 9);
		expect(years(request)[0]!.rate - bare[0]!.rate).toBeCloseTo(22.4, 9);
		const next = years({ ...request, nextCrop: { id: 'corn-grain', yieldGoal: 160 } });
		expect(next[1]).toMatchObject({ crop: 'corn-grain', removal: 160 * 0.35 + 160 * 0.16 * 0.5 });
	});
	it('go by the price of its own grain', () => {
		const corn = library.crops.find(({ id }) => id === 'corn-grain')!;
		const site = siteOf(wheat(cornRequest(), { prices: { grain: 6, nitrogen: 0.6 } }), library, '2026-11-20');
		expect(secondSite(site, corn, 120, 4.5).prices).toEqual({ grain: 4.5, nitrogen: 0.6 });
		// Wheat's price says nothing of corn.
		expect(secondSite(site, corn, 120, undefined).prices.grain).toBeUndefined();
	});
	it('are refused for a crop that no list has, and a goal that no field brings', () => {
		const asked = (secondCrop: object) => () =>
			answer(wheat(cornRequest(), { secondCrop: secondCrop as typeof soybean }));
		expect(asked({ id: 'quinoa', yieldGoal: 1 })).toThrow('/secondCrop/id');
		expect(asked({ id: 'soybean', yieldGoal: 900 })).toThrow('/secondCrop/yieldGoal');
	});
});

describe('a second crop of the book', () => {
	const check = (change: Partial<SecondCrop>, crop = 'winter-wheat') =>
		checkSecondCrop({ ...soybean, ...change }, { year: 2027, crop }, '2026-10-05', library);
	it('is planted in its year, after the first', () => {
		expect(() => check({ plantingDate: '2027-07-05', harvestedYield: 0 })).not.toThrow();
		expect(() => check({ plantingDate: '2026-11-05' })).toThrow('must lie after 2027-01-01');
		expect(() => check({ plantingDate: '2028-01-05' })).toThrow('2027-12-31 at the latest');
		expect(() =>
			checkSecondCrop(
				{ ...soybean, plantingDate: '2027-04-01' },
				{ year: 2027, crop: 'corn-silage' },
				'2027-04-20',
				library
			)
		).toThrow('must lie after 2027-04-20');
	});
	it('is an annual after an annual, with a goal and a harvest that can be', () => {
		expect(() => check({ id: 'alfalfa' })).not.toThrow();
		expect(() => check({ id: 'apple' })).toThrow('must be an annual after an annual; got "apple" after "winter-wheat"');
		expect(() => check({}, 'apple')).toThrow('/secondCrop/id');
		expect(() => check({ yieldGoal: 900 })).toThrow('/secondCrop/yieldGoal');
		expect(() => check({ harvestedYield: 900 })).toThrow('/secondCrop/harvestedYield');
	});
	it('is named for the crop after it as the guides name it', () => {
		expect(previousCropOf('soybean')).toBe('soybean');
		expect(previousCropOf('apple')).toBe('other');
	});
});
