import { describe, expect, it } from 'vitest';
import type { AdviseRequest, CropId, PreviousCropId } from '../schema-types';
import { cornRequest, cornRequestWith, library } from '../testing.test-help';
import { advise } from './advise';
import { removalSentence, removalTable } from './phosphorus-potassium/removal-compared';

const rateOf = (request: AdviseRequest, method: string) =>
	advise(request, library, '2026-11-20').rates.find((rate) => rate.method === method)!;
const forCrop = (request: AdviseRequest, id: CropId, yieldGoal: number): AdviseRequest => ({
	...request,
	crop: { ...request.crop, id, yieldGoal }
});

describe('sulfur by both schools', () => {
	it('with the nitrogen settled on, and only then', () => {
		const method = 'sulfur-practice/with-nitrogen-mid-season';
		expect(rateOf({ ...cornRequest(), nitrogenRate: 160 }, method).rate).toBe(20);
		const open = rateOf(cornRequest(), method);
		expect(open).toMatchObject({ applies: false, rate: null });
		expect(open.reason).toContain('Choose the nitrogen rate first');
	});

	it('less what soil and organic matter give, each a line of its own', () => {
		const request = cornRequestWith({ OM: { value: 2, unit: '%' } });
		request.sample.layers.push({
			top: 0,
			bottom: 24,
			depthUnit: 'in',
			results: [{ analyte: 'SO4-S', value: 2, unit: 'ppm' }]
		});
		const rate = rateOf(forCrop(request, 'corn-grain', 180), 'sulfur-credits/sulfur');
		// 0.2 x 180 - 2.5 x 2 - 2 ppm x 7.2
		expect(rate.rate).toBeCloseTo(16.6, 9);
		expect(JSON.stringify(rate.worksheet)).toContain('from organic matter');
		expect(JSON.stringify(rate.worksheet)).toContain('sulfate-S, 0-24 in');
	});

	it('does not credit a sulfate test that stops short', () => {
		const shallow = cornRequestWith({ 'SO4-S': { value: 4, unit: 'ppm' }, OM: { value: 2, unit: '%' } });
		expect(rateOf(shallow, 'sulfur-credits/sulfur').reason).toContain('measured only to 8 in');
	});

	it('what leaves with grain and straw', () => {
		const grain = forCrop(cornRequest(), 'winter-wheat', 80);
		expect(rateOf(grain, 'crop-removal/sulfur').rate).toBeCloseTo(8, 9);
		const straw = { ...grain, crop: { ...grain.crop, residueRemovedPercent: 50 } };
		expect(rateOf(straw, 'crop-removal/sulfur').rate).toBeCloseTo(8 + 0.14 * 80 * 0.5, 9);
	});
});

describe('straw and stover', () => {
	it('that the guide gives no removal for is cautioned of', () => {
		const request = forCrop(cornRequest(), 'sunflower', 2000);
		const taken = { ...request, crop: { ...request.crop, residueRemovedPercent: 100 } };
		const { worksheet } = rateOf(taken, 'crop-removal/potassium');
		expect(worksheet.applies && worksheet.cautions.join()).toContain('more leaves than this');
		const left = rateOf(request, 'crop-removal/potassium').worksheet;
		expect(left.applies && left.cautions.join()).not.toContain('more leaves than this');
	});
});

describe('micronutrients', () => {
	const zinc = (value: number, method: 'dtpa' | 'mehlich-3' = 'dtpa') =>
		rateOf(cornRequestWith({ Zn: { method, value, unit: 'ppm' } }), 'micronutrients/zinc');
	it('go by class, with the class named', () => {
		expect(zinc(0.7)).toMatchObject({ rate: 10 });
		expect(zinc(0.7).worksheet).toMatchObject({ formula: 'short: below 0.8 ppm' });
		expect(zinc(0.8).worksheet).toMatchObject({ formula: 'doubtful: 0.8 to under 1 ppm' });
		expect(zinc(1.4)).toMatchObject({ applies: true, rate: 0, reason: 'enough: 1 ppm and above' });
	});
	it('are read by the method they were calibrated on', () => {
		expect(zinc(0.7, 'mehlich-3').reason).toContain('calibrated on DTPA');
	});
	it('are not given for a crop the guide is silent on, nor without a test', () => {
		const wheat = forCrop(cornRequestWith({ Zn: { method: 'dtpa', value: 0.4, unit: 'ppm' } }), 'winter-wheat', 80);
		expect(rateOf(wheat, 'micronutrients/zinc').reason).toContain('has no rate for winter wheat');
		expect(rateOf(cornRequest(), 'micronutrients/boron').reason).toContain('the report gives no boron');
	});
});

describe('keep in the range', () => {
	const mehlich = (P: number, K: number, more: Parameters<typeof cornRequestWith>[0] = {}) =>
		cornRequestWith({
			P: { method: 'mehlich-3', value: P, unit: 'ppm' },
			K: { method: 'mehlich-3', value: K, unit: 'ppm' },
			...more
		});
	it('steps down at the top of the range, and says so', () => {
		const inside = rateOf(mehlich(40, 150), 'tri-state-2020/phosphorus');
		expect(inside.rate).toBeCloseTo(56, 9);
		const above = rateOf(mehlich(40.1, 150), 'tri-state-2020/phosphorus');
		expect(above).toMatchObject({ rate: 0, reason: 'above the range: none until the test comes down into it' });
	});
	it('needs CEC for K, where the range goes by it', () => {
		const bare = rateOf(mehlich(30, 100, { CEC: undefined }), 'tri-state-2020/potassium');
		expect(bare).toMatchObject({ applies: false, rate: null });
		expect(bare.reason).toContain('Ask the lab for CEC');
	});
	it('takes no Bray P1 for Mehlich-3: no bridge is published that way', () => {
		expect(rateOf(cornRequest(), 'tri-state-2020/phosphorus').reason).toContain('calibrated on Mehlich-3');
	});
});

describe('balance the cations', () => {
	it('reckons with the depth that was sampled and carries its caveat', () => {
		const request = cornRequestWith({ Mg: { value: 97.2, unit: 'ppm' } });
		const rate = rateOf(request, 'cation-balance/bear-1945-mg');
		// CEC 16: 10 % is 194.4 ppm; 97.2 short x 0.3 x 8 in
		expect(rate.rate).toBeCloseTo(97.2 * 0.3 * 8, 6);
		expect(rate.worksheet.applies && rate.worksheet.cautions.join()).toContain('Kopittke and Menzies 2007');
	});
	it('gives K as K2O, never above 300 lb in a year', () => {
		const low = cornRequestWith({ K: { method: 'ammonium-acetate', value: 40, unit: 'ppm' } });
		expect(rateOf(low, 'cation-balance/bear-1945-k2o')).toMatchObject({ rate: 300 });
		const fine = cornRequestWith({ K: { method: 'ammonium-acetate', value: 313, unit: 'ppm' } });
		expect(rateOf(fine, 'cation-balance/bear-1945-k2o')).toMatchObject({ applies: true, rate: 0 });
	});
	it('does not apply without CEC', () => {
		const request = cornRequestWith({ Mg: { value: 97.2, unit: 'ppm' }, CEC: undefined });
		expect(rateOf(request, 'cation-balance/graham-1959-mg')).toMatchObject({ applies: false, rate: null });
	});
});

describe('prices', () => {
	it('give the cost of every nutrient, and say which is missing', () => {
		const request = cornRequestWith({ Zn: { method: 'dtpa', value: 0.5, unit: 'ppm' } });
		const priced = rateOf({ ...request, prices: { Zn: 2.2 } }, 'micronutrients/zinc');
		expect(priced.cost).toMatchObject({ value: 22, unit: '$/ac' });
		expect(rateOf(request, 'micronutrients/zinc').cost).toMatchObject({
			applies: false,
			reason: 'no price for Zn is known'
		});
		const metric = rateOf({ ...request, prices: { Zn: 2.2 }, units: 'metric' }, 'micronutrients/zinc');
		// $22/ac / 0.40468564224 ha/ac
		expect(metric.cost.applies && metric.cost.value).toBeCloseTo(54.3632, 4);
	});
});

describe('credits of the crop before', () => {
	const creditsAfter = (previousCrop: PreviousCropId, method: string) => {
		const request = cornRequest();
		request.crop.previousCrop = previousCrop;
		const { worksheet } = advise(request, library, '2026-11-20').rates.find((rate) => rate.method === method)!;
		return JSON.stringify(worksheet);
	};
	it('a guide that lists none says so, and never shows 0 lb', () => {
		const told = creditsAfter('winter-wheat', 'tri-state-1995/nitrogen');
		expect(told).toContain('This guide lists none for winter wheat; no credit is taken.');
		expect(told).not.toContain('after winter wheat');
	});
	// Common practice: goal x factor, less 30 lb on medium soil, 20 on sand, 60 after fallow. A nitrate test replaces them.
	it.each([
		['barley', 80, 74],
		['oats', 90, 60],
		['sorghum', 90, 69],
		['flax', 25, 32.5],
		['corn-silage', 20, 150]
	] as const)('%s has a nitrogen rate without a nitrate test', (id, yieldGoal, expected) => {
		const rateOf = (change: Partial<AdviseRequest> = {}, previousCrop: PreviousCropId = 'winter-wheat') =>
			advise({ ...cornRequest(), crop: { id, yieldGoal, previousCrop }, ...change }, library, '2026-11-20').rates.find(
				({ method }) => method === 'goal-nitrogen/nitrogen'
			)!;
		expect(rateOf().rate).toBeCloseTo(expected, 6);
		expect(JSON.stringify(rateOf().worksheet)).toContain('No nitrate test tells what the soil holds');
		expect(rateOf({ field: { textureClass: 'loamy sand' } }).rate).toBeCloseTo(expected + 10, 6);
		expect(rateOf({}, 'fallow').rate).toBeCloseTo(expected - 30, 6);
		const nitrate = {
			...cornRequest().sample.layers[0]!,
			top: 0,
			bottom: 24,
			results: [{ analyte: 'NO3-N' as const, value: 2, unit: 'ppm' as const }]
		};
		const tested = rateOf({ sample: { date: '2026-11-10', layers: [...cornRequest().sample.layers, nitrate] } });
		// 2 ppm in 24 in: 0.3 x 24 x 2 = 14.4 lb.
		expect(tested.rate).toBeCloseTo(expected + 30 - 14.4, 6);
	});
	it('a guide without any credit for its crop says so after alfalfa, and is silent after wheat', () => {
		const wheat = (previousCrop: PreviousCropId) => {
			const request = { ...cornRequest(), crop: { id: 'winter-wheat' as const, yieldGoal: 80, previousCrop } };
			const { rates } = advise(request, library, '2026-11-20');
			return JSON.stringify(rates.find(({ method }) => method === 'tri-state-1995/nitrogen')!.worksheet);
		};
		expect(wheat('alfalfa')).toContain('This guide lists none for alfalfa, though alfalfa leaves from 0');
		expect(wheat('corn-grain')).not.toContain('lists none');
	});
	it('alfalfa counts where the guide lists it, with how much it may differ', () => {
		const told = creditsAfter('alfalfa', 'tri-state-1995/nitrogen');
		expect(told).toContain('"label":"after alfalfa","value":100');
		expect(told).toContain('from 0 under a thin stand to 150 lb N/ac under a thick one');
	});
});

describe('removal side by side', () => {
	it('sets each crop beside corn by its unit: soybean takes off more K2O per bushel', () => {
		const table = removalTable(library.packs, library.crops, 'crop-removal');
		expect(table.find(({ crop }) => crop === 'soybean')).toEqual({
			crop: 'soybean',
			name: 'Soybean',
			per: 'bu',
			rate: 'lb per bu of 60 lb',
			N: 3.25,
			P2O5: 0.73,
			K2O: 1.17,
			S: 0.18
		});
		expect(removalSentence(library.packs, library.crops, 'soybean', 'us')).toBe(
			'Per bu soybean takes off more P2O5 than corn (0.73 lb per bu against 0.35 lb per bu) and more K2O than corn (1.17 lb per bu against 0.25 lb per bu).'
		);
		// 0.73 lb a bushel of 60 lb is 12.2 kg a tonne: 0.73 / 60 x 1000.
		expect(removalSentence(library.packs, library.crops, 'soybean', 'metric')).toContain('12.2 kg per t against 6.3');
		expect(removalSentence(library.packs, library.crops, 'corn-grain', 'us')).toContain('less K2O than soybean');
		expect(removalSentence(library.packs, library.crops, 'alfalfa', 'us')).toBeUndefined();
		expect(removalTable(library.packs, library.crops, 'tri-state-1995')).toEqual([]);
	});
});

describe('sulfur goes with the nitrogen of its stage', () => {
	const programme = [
		{ nitrogen: 40, placement: '2x2 band' as const, daysFromPlanting: 0, applied: false },
		{ nitrogen: 80, placement: 'row-base stream' as const, daysFromPlanting: 38, applied: false },
		{ nitrogen: 40, placement: 'row-base stream' as const, daysFromPlanting: 55, applied: false }
	];
	const rate = (stage: string, planned: boolean) =>
		rateOf(
			{ ...cornRequest(), nitrogenRate: 160, ...(planned ? { programme } : {}) },
			`sulfur-practice/with-nitrogen-${stage}`
		);
	it('not three times with that of the whole season', () => {
		expect(rate('early', true).rate).toBeCloseTo(40 / 10, 9);
		expect(rate('mid-season', true).rate).toBeCloseTo(80 / 8, 9);
		expect(rate('late', true).rate).toBeCloseTo(40 / 5, 9);
	});
	it('and says what it stands for while no passes are planned', () => {
		const { rate: all, worksheet } = rate('late', false);
		expect(all).toBe(32);
		expect(JSON.stringify(worksheet)).toContain('this is the sulfur if all of the nitrogen goes on late');
	});
});

it('straw and stover that leave stand in maintenance', () => {
	const of = (method: string, residueRemovedPercent: number) => {
		const request = cornRequestWith({ K: { value: 130, unit: 'ppm' } });
		request.crop.residueRemovedPercent = residueRemovedPercent;
		return rateOf(request, method);
	};
	// 160 bu, half of the stover, 1.1 lb K2O a bushel in it (IPNI, from memory)
	expect(of('tri-state-1995/potassium', 50).rate! - of('tri-state-1995/potassium', 0).rate!).toBeCloseTo(
		160 * 1.1 * 0.5,
		6
	);
	const { worksheet } = of('tri-state-1995/potassium', 50);
	expect(JSON.stringify(worksheet)).toContain('straw or stover takes off');
});
