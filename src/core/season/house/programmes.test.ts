// House programmes: which fits a field, what it chooses there, how its passes are made, and where a field departs from it.
import { describe, expect, it } from 'vitest';
import { advise } from '../../rates/advise';
import type { HouseProgramme, Pass } from '../../schema-types';
import { cornRequest, library } from '../../testing.test-help';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { planContext } from '../plan/plan-context.test-help';
import { productOf } from '../plan/plan-context';
import { proposeProgramme } from '../propose/propose-programme';
import { departuresFrom } from './departures';
import { byHouse } from './house-schedule';
import { houseChoices } from './house-choices';
import { withOtherProduct } from './other-product';
import { programmeFor, whyNotFor } from './programme-fits';
import { roundedPass } from './rounded-pass';

const programme: HouseProgramme = {
	name: 'Corn on heavy soil',
	crops: ['corn-grain'],
	ground: { cecFrom: 12, phBelow: 6.5, textures: ['silt loam', 'clay loam'] },
	rates: [{ nutrient: 'N', methods: ['tri-state-1995/nitrogen'] }],
	rounding: {},
	products: []
};
const facts = { crop: 'corn-grain', cec: 12, soilPh: 6.4, textureClass: 'clay loam' };
const product = (id: string) => library.products.find((one) => one.id === id)!;

describe('a house programme', () => {
	it('is for its crops and its ground, from a bound on and below the other', () => {
		expect(whyNotFor(programme, facts)).toBeUndefined();
		expect(whyNotFor(programme, { ...facts, crop: 'soybean' })).toBe('it is for another crop');
		expect(whyNotFor(programme, { ...facts, cec: 11.9 })).toBe('CEC 11.9 is below 12');
		expect(whyNotFor(programme, { ...facts, soilPh: 6.5 })).toBe('soil pH 6.5 is not below 6.5');
		expect(whyNotFor(programme, { ...facts, textureClass: 'sand' })).toBe('the texture is sand');
	});
	it('does not fit where what it asks for is not known', () => {
		expect(whyNotFor(programme, { ...facts, cec: undefined })).toBe('the CEC is not known');
		expect(whyNotFor(programme, { ...facts, textureClass: undefined })).toBe('the texture is not known');
		expect(whyNotFor({ ...programme, ground: {} }, { crop: 'corn-grain' })).toBeUndefined();
	});
	it('is the first in order that fits', () => {
		const light = { ...programme, name: 'Light', ground: { cecBelow: 12 } };
		const any = { ...programme, name: 'Any', ground: {} };
		expect(programmeFor([light, programme, any], facts)?.name).toBe('Corn on heavy soil');
		expect(programmeFor([light, any, programme], facts)?.name).toBe('Any');
		expect(programmeFor([light], facts)).toBeUndefined();
	});
});

describe('what a programme chooses', () => {
	const { rates } = advise(cornRequest(), library, '2026-11-23');
	const choicesOf = (wanted: HouseProgramme['rates']) => houseChoices({ ...programme, rates: wanted }, rates);
	it('is its first method that gives a rate, and says why an earlier one does not', () => {
		const { choices, notes } = choicesOf([
			{ nutrient: 'N', methods: ['tri-state-1995/nitrogen'] },
			{ nutrient: 'P2O5', methods: ['tri-state-2020/phosphorus', 'crop-removal/phosphorus'] }
		]);
		expect(choices).toEqual([
			{ nutrient: 'N', method: 'tri-state-1995/nitrogen' },
			{ nutrient: 'P2O5', method: 'crop-removal/phosphorus' }
		]);
		expect(notes).toEqual([
			expect.stringMatching(
				/^P2O5 by Crop removal: Tri-state guide 2020 does not apply, because the report gives phosphorus by Bray P1/
			)
		]);
		expect(notes[0]).not.toMatch(/\.$/);
	});
	it('stays open, with the reason, where no method gives one', () => {
		const { choices, notes } = choicesOf([
			{ nutrient: 'K2O', methods: ['tri-state-2020/potassium', 'no-guide/potassium'] }
		]);
		expect(choices).toEqual([]);
		expect(notes[0]).toMatch(/^K2O stays open: .*; “no-guide\/potassium” is in no guide in use$/);
	});
	it('is for two crops only where the method gives that', () => {
		const both = choicesOf([{ nutrient: 'K2O', methods: ['crop-removal/potassium'], bothYears: true }]);
		expect(both.choices).toEqual([{ nutrient: 'K2O', method: 'crop-removal/potassium' }]);
		expect(both.notes).toEqual(['K2O for this crop alone: no rate for two years']);
		const named = { ...cornRequest(), nextCrop: { id: 'soybean', yieldGoal: 50 } };
		const answers = advise(named, library, '2026-11-23').rates;
		const wanted = {
			...programme,
			rates: both.choices.map(({ nutrient }) => ({ nutrient, methods: ['crop-removal/potassium'], bothYears: true }))
		};
		expect(houseChoices(wanted as HouseProgramme, answers).choices).toEqual([
			{ nutrient: 'K2O', method: 'crop-removal/potassium', bothYears: true }
		]);
	});
	it('is never a simulated curve', () => {
		const simulated = rates.map((rate) => ({ ...rate, simulated: true as const }));
		const { choices, notes } = houseChoices(programme, simulated);
		expect(choices).toEqual([]);
		expect(notes[0]).toMatch(/is a simulated curve$/);
	});
});

describe('the passes of a programme', () => {
	const chosen = { N: 150, P2O5: 50, K2O: 60 };
	it('are its own passes of nitrogen, by their shares', () => {
		const own: HouseProgramme = {
			...programme,
			nitrogen: [
				{ label: 'Starter', product: 'uan-28', placement: '2x2 band', daysFromPlanting: 0, sharePercent: 20 },
				{ label: 'Side-dress', product: 'uan-28', placement: 'injected', daysFromPlanting: 35, sharePercent: 80 }
			]
		};
		const { passes } = proposeProgramme(byHouse(planContext({ chosen: { N: 150 } }), own));
		expect(passes.map(({ label, date, placement }) => [label, date, placement])).toEqual([
			['Starter', '2027-05-01', '2x2 band'],
			['Side-dress', '2027-06-05', 'injected']
		]);
		const pounds = passes.map((pass) => passNutrient(pass, productOf(pass, library.products), 'N'));
		expect(pounds[0]).toBeCloseTo(30, 9);
		expect(pounds[1]).toBeCloseTo(120, 9);
		expect(passes[0]!.reason).toBe('By the house programme Corn on heavy soil.');
	});
	it('take its products at the same pounds, where their cards have them placed', () => {
		const context = planContext({ chosen });
		const usual = proposeProgramme(context).passes;
		const swapped = byHouse(context, { ...programme, products: [{ instead: 'potash', take: 'potassium-sulfate' }] });
		const passes = proposeProgramme(swapped).passes;
		const potash = passes.find((pass) => pass.product === 'potassium-sulfate')!;
		expect(usual.some((pass) => pass.product === 'potash')).toBe(true);
		expect(passes.some((pass) => pass.product === 'potash')).toBe(false);
		expect(passNutrient(potash, product('potassium-sulfate'), 'K2O')).toBeCloseTo(60, 9);
		expect(product('potassium-sulfate').placements).toContain(potash.placement);
	});
	it('are left as they are by a product that no step names', () => {
		const context = planContext({ chosen });
		const same = byHouse(context, { ...programme, products: [{ instead: 'kieserite', take: 'gypsum' }] });
		expect(proposeProgramme(same)).toEqual(proposeProgramme(context));
	});
});

describe('a pass', () => {
	const pass: Pass = {
		id: 'a',
		date: '2027-05-01',
		label: 'Urea',
		product: 'urea',
		rate: 267.4,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: ''
	};
	it('rounds to the nearest step of its unit', () => {
		expect(roundedPass(pass, { lb: 5 }, product('urea')).rate).toBe(265);
		expect(roundedPass({ ...pass, rate: 267.6 }, { lb: 5 }, product('urea')).rate).toBe(270);
		expect(roundedPass({ ...pass, rate: 2.13, unit: 'short ton/ac' }, { shortTon: 0.25 }, product('aglime')).rate).toBe(
			2.25
		);
		expect(roundedPass(pass, { shortTon: 0.25 }, product('urea'))).toEqual(pass);
	});
	it('is left alone below one step, and in gallons where it is a liquid', () => {
		expect(roundedPass({ ...pass, rate: 4 }, { lb: 5 }, product('urea')).rate).toBe(4);
		const uan = product('uan-28');
		const liquid = roundedPass(
			{ ...pass, product: 'uan-28', rate: 30.3 * uan.densityLbPerGal! },
			{ lb: 5, gal: 0.5 },
			uan
		);
		expect(liquid).toMatchObject({ rate: 30.5, unit: 'gal/ac' });
	});
	it('takes another product at the same pounds of what the first is bought for', () => {
		const taken = withOtherProduct({ ...pass, rate: 200 }, product('urea'), product('uan-28')) as Pass;
		// 200 lb of urea bring 92 lb N (46 %); UAN-28 has 28 %: trade analyses.
		expect(taken).toMatchObject({ product: 'uan-28', unit: 'lb/ac' });
		expect(taken.rate).toBeCloseTo(92 / 0.28, 6);
		const back = withOtherProduct({ ...taken, unit: 'gal/ac', rate: 30 }, product('uan-28'), product('urea')) as Pass;
		expect(back.unit).toBe('lb/ac');
		expect(back.rate).toBeCloseTo((30 * product('uan-28').densityLbPerGal! * 0.28) / 0.46, 6);
	});
	it('takes a liquid for a liquid in gallons, a lime for a lime by what acts', () => {
		const gallons = withOtherProduct(
			{ ...pass, product: 'uan-28', rate: 30, unit: 'gal/ac' },
			product('uan-28'),
			product('uan-32')
		) as Pass;
		const [a, b] = [product('uan-28'), product('uan-32')];
		expect(gallons.unit).toBe('gal/ac');
		expect(gallons.rate * b.densityLbPerGal! * 32).toBeCloseTo(30 * a.densityLbPerGal! * 28, 6);
		const lime: Pass = { ...pass, product: 'aglime', rate: 2, unit: 'short ton/ac', placement: 'incorporated' };
		const fine = withOtherProduct(lime, product('aglime'), product('fine-lime')) as Pass;
		expect(fine).toMatchObject({ product: 'fine-lime', unit: 'short ton/ac' });
		expect(fine.rate).toBeLessThan(2);
	});
	it('does not take what is not placed so, nor what lacks the nutrient', () => {
		const banded = { ...pass, placement: 'deep strip band' as const };
		expect(withOtherProduct(banded, product('urea'), product('ammonium-sulfate'))).toEqual({
			cannot: `${product('ammonium-sulfate').name} is not put on as Urea is (deep strip band)`
		});
		expect(withOtherProduct(pass, product('urea'), product('potash'))).toEqual({
			cannot: expect.stringMatching(/supplies no N, which Urea 46-0-0 is bought for$/) as string
		});
	});
});

it('departures are what is open, by an own rate with its reason, or by a method that the programme does not have', () => {
	const wanted: HouseProgramme = {
		...programme,
		rates: [
			{ nutrient: 'N', methods: ['a/n', 'b/n'] },
			{ nutrient: 'P2O5', methods: ['a/p'] },
			{ nutrient: 'K2O', methods: ['a/k'] },
			{ nutrient: 'S', methods: ['a/s'] }
		]
	};
	expect(
		departuresFrom(wanted, [
			{ nutrient: 'N', method: 'b/n' },
			{ nutrient: 'P2O5', ownRate: 30, reason: 'Manured last year' },
			{ nutrient: 'K2O', method: 'c/k' },
			{ nutrient: 'lime', ownRate: 1, reason: 'Not in the programme' }
		])
	).toEqual([
		{ nutrient: 'P2O5', own: { rate: 30, reason: 'Manured last year' } },
		{ nutrient: 'K2O', method: 'c/k' },
		{ nutrient: 'S' }
	]);
});
