import { describe, expect, it } from 'vitest';
import { allCautions } from '../figure/figure';
import { InputError } from '../check/problem';
import type { AdviseRequest, Rate } from '../schema-types';
import { cornRequest, cornRequestWith, library } from '../testing.test-help';
import { advise } from './advise';

const TODAY = '2026-11-20';
const rateOf = (request: AdviseRequest, method: string): Rate => {
	const rate = advise(request, library, TODAY).rates.find((candidate) => candidate.method === method);
	if (!rate) throw new Error(`no rate by ${method}`);
	return rate;
};

describe('lime', () => {
	it('is none at pH 6.6 with the same buffer, and says why', () => {
		const lime = rateOf(cornRequestWith({ pH: { method: 'water', value: 6.6, unit: 'pH' } }), 'tri-state-1995/lime');
		expect(lime).toMatchObject({ applies: true, rate: 0 });
		expect(lime.reason).toContain('soil pH 6.6 is not below the trigger of 6.3');
	});

	it('is none at the trigger itself and some just below it', () => {
		const at = (value: number) =>
			rateOf(cornRequestWith({ pH: { method: 'water', value, unit: 'pH' } }), 'tri-state-1995/lime');
		expect(at(6.3).rate).toBe(0);
		expect(at(6.2).rate).toBe(4.72);
	});

	it('grows with the depth limed and with a weaker material', () => {
		const request = { ...cornRequest(), limeDepthIn: 4 };
		expect(rateOf(request, 'tri-state-1995/lime').rate).toBe(2.36);
		const weak = { ...cornRequest(), limingMaterial: { neutralizingValuePercent: 50, finenessPercent: 65 } };
		expect(rateOf(weak, 'tri-state-1995/lime').rate).toBe(9.44);
	});

	it('is in proportion between two target lines and does not apply outside them', () => {
		const between = rateOf({ ...cornRequest(), targetPh: 6.25 }, 'tri-state-1995/lime').rate!;
		expect(between).toBeCloseTo((4.72 + 3.86) / 2, 9);
		const barley = { ...cornRequest(), crop: { id: 'barley' as const, yieldGoal: 80 } };
		const outside = rateOf({ ...barley, targetPh: 7 }, 'tri-state-1995/lime');
		expect(outside).toMatchObject({ applies: false, rate: null });
		expect(outside.reason).toContain('from a target pH of 6 to 6.8');
	});

	it('takes no Mehlich buffer and no pH in CaCl2', () => {
		const mehlich = cornRequestWith({ bufferPh: { method: 'mehlich', value: 6.1, unit: 'pH' } });
		expect(rateOf(mehlich, 'tri-state-1995/lime').reason).toContain('calibrated on SMP or Sikora');
		const chloride = cornRequestWith({ pH: { method: 'cacl2', value: 5.2, unit: 'pH' } });
		expect(rateOf(chloride, 'tri-state-1995/lime').reason).toContain('CaCl2');
	});

	it('reads a lime test index as ten times the buffer pH', () => {
		const index = cornRequestWith({ bufferPh: { method: 'smp', value: 64, unit: 'LTI' } });
		expect(rateOf(index, 'tri-state-1995/lime').rate).toBe(4.72);
	});
});

describe('what is missing', () => {
	it('leaves potassium by the CEC guide out without CEC, with what to ask the lab; nothing is 0', () => {
		const { rates, derived } = advise(cornRequestWith({ CEC: undefined }), library, TODAY);
		const potassium = rates.find(({ method }) => method === 'tri-state-1995/potassium')!;
		expect(potassium).toMatchObject({ applies: false, rate: null });
		expect(potassium.reason).toContain('Ask the lab for CEC');
		expect(rates.filter(({ rate }) => rate === 0)).toEqual([]);
		expect(derived).toMatchObject({ cec: null, holdingLimit: null, holdingRoom: null });
	});

	it('has no nitrogen by the nitrate guide without nitrate to 24 in', () => {
		const request = cornRequest();
		expect(rateOf(request, 'northern-plains/nitrogen').applies).toBe(false);
		request.sample.layers.push({
			top: 0,
			bottom: 12,
			depthUnit: 'in',
			results: [{ analyte: 'NO3-N', value: 5, unit: 'ppm' }]
		});
		expect(rateOf(request, 'northern-plains/nitrogen').reason).toContain('measured only to 12 in');
		request.sample.layers.push({
			top: 12,
			bottom: 24,
			depthUnit: 'in',
			results: [{ analyte: 'NO3-N', value: 3, unit: 'ppm' }]
		});
		// 1.2 x 160 - 0.3 x 12 x (5 + 3) - 40 after soybean
		expect(rateOf(request, 'northern-plains/nitrogen').rate).toBe(123.2);
	});

	it('takes no previous-crop credit that was not named, and says so', () => {
		const request = cornRequest();
		delete request.crop.previousCrop;
		const nitrogen = rateOf(request, 'tri-state-1995/nitrogen');
		expect(nitrogen.rate).toBe(190.6);
		expect(nitrogen.worksheet.applies && allCautions(nitrogen.worksheet)).toContain(
			'The previous crop is not named; no credit is taken.'
		);
	});

	it('asks for the P method instead of guessing it, and says which K method it took', () => {
		const unnamed = cornRequestWith({ P: { value: 10, unit: 'ppm' }, K: { value: 120, unit: 'ppm' } });
		expect(rateOf(unnamed, 'tri-state-1995/phosphorus').reason).toContain('Ask the lab which method');
		const potassium = rateOf(unnamed, 'tri-state-1995/potassium');
		expect(potassium.rate).toBe(63.2);
		expect(potassium.worksheet.applies && allCautions(potassium.worksheet).join()).toContain(
			'read as ammonium acetate'
		);
	});

	it('refuses Bray P1 on calcareous soil', () => {
		const calcareous = cornRequestWith({ pH: { method: 'water', value: 7.9, unit: 'pH' } });
		expect(rateOf(calcareous, 'tri-state-1995/phosphorus').reason).toContain('calcareous');
		expect(
			rateOf(cornRequestWith({ pH: { method: 'water', value: 7.3, unit: 'pH' } }), 'tri-state-1995/phosphorus').rate
		).toBe(84.2);
	});

	it('says that a guide is silent on a crop', () => {
		const canola = { ...cornRequest(), crop: { id: 'canola' as const, yieldGoal: 2000 } };
		expect(rateOf(canola, 'tri-state-1995/phosphorus').reason).toContain('has no rate for canola');
	});
});

describe('the answer', () => {
	it('converts at the very end, with the conversion as a step', () => {
		const metric = rateOf({ ...cornRequest(), units: 'metric' }, 'tri-state-1995/phosphorus');
		expect(metric.unit).toBe('kg/ha');
		expect(metric.rate).toBeCloseTo(84.2 * 1.1208511, 4);
		expect(metric.worksheet.applies && metric.worksheet.inputs[0]?.value).toBe(84.2);
		expect(rateOf({ ...cornRequest(), units: 'metric' }, 'tri-state-1995/lime').unit).toBe('t/ha');
		const [own] = metric.worksheet.applies ? metric.worksheet.inputs : [];
		expect(own?.applies && own.wouldChange?.[1]).toBe('0.63 t more of goal: 4.1 kg/ha more.');
	});

	it('prices every rate and says what would change it', () => {
		const phosphorus = rateOf(cornRequest(), 'tri-state-1995/phosphorus');
		expect(phosphorus.cost.applies && phosphorus.cost.value).toBeCloseTo(42.1, 9);
		expect(phosphorus.worksheet.applies && phosphorus.worksheet.wouldChange).toEqual([
			'1 ppm more on the test: 5 lb/ac less.',
			'10 bu more of goal: 3.7 lb/ac more.'
		]);
		const free = cornRequest();
		delete free.prices;
		expect(rateOf(free, 'tri-state-1995/phosphorus').cost).toMatchObject({ applies: false });
	});

	it('answers by the methods asked for, and names those there are', () => {
		const { rates } = advise({ ...cornRequest(), methods: ['tri-state-1995/lime'] }, library, TODAY);
		expect(rates.map(({ method }) => method)).toEqual(['tri-state-1995/lime']);
		const wrong = () => advise({ ...cornRequest(), methods: ['tri-state-1995/potash'] }, library, TODAY);
		expect(wrong).toThrow(InputError);
		expect(wrong).toThrow(/\/methods\/0 "tri-state-1995\/potash" is no method; known: .*tri-state-1995\/potassium/);
	});

	it('holds the limit less the nitrate that is there', () => {
		const request = cornRequestWith({ CEC: { value: 12, unit: 'meq/100g' } });
		request.sample.layers.push({
			top: 0,
			bottom: 24,
			depthUnit: 'in',
			results: [{ analyte: 'NO3-N', value: 50 / 7.2, unit: 'ppm' }]
		});
		const { derived } = advise(request, library, TODAY);
		// Common practice: CEC 12 with 50 lb of nitrate leaves room for 70.
		expect(derived.holdingLimit).toBe(120);
		expect(derived.holdingRoom).toBeCloseTo(70, 9);
	});
});
