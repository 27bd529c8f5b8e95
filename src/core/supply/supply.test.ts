import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Pass, Product } from '../schema-types';
import { planContext } from '../season/plan/plan-context.test-help';
import { library } from '../testing.test-help';
import { countBack, cupsPerPalm } from './calibration/rates';
import { bestSwath, swathResults } from './calibration/spread-pattern';
import { creditedPrice } from './credited-price';
import { acresPerLoad, loadsFor } from './loads';
import { firstYearNitrogen } from './manure/available-nitrogen';
import { laterNitrogen, manureProduct } from './manure/manure-product';
import { manureRates } from './manure/manure-rate';
import { orderOf, type OpenPass } from './order';
import { sourceAdvice } from './source-advice';

const product = (id: string) => library.products.find((one) => one.id === id)!;
const pass = (id: string, rate: number, change: Partial<Pass> = {}): Pass => ({
	id,
	date: '2027-05-01',
	label: id,
	product: id,
	rate,
	unit: 'lb/ac',
	placement: 'broadcast',
	reason: '',
	...change
});

describe('a pan test', () => {
	it('a triangle over its half is even at any fitting width (property)', () => {
		// deposits 0 10 20 30 20 10 0: laid over each other every 3 pans they add up to 30 everywhere
		const triangle = [0, 10, 20, 30, 20, 10, 0];
		const even = swathResults(triangle, 1, 5, 'around').find(({ swathFt }) => swathFt === 15)!;
		expect(even.cvPercent).toBeCloseTo(0, 9);
		expect(even.rate).toBeCloseTo((30 / 453.59237) * 43560, 3);
		expect(bestSwath(swathResults(triangle, 1, 5, 'around'))!.swathFt).toBe(15);
	});
	it('what is caught over a swath does not depend on how it is driven (property)', () => {
		const grams = fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: 7, maxLength: 7 });
		fc.assert(
			fc.property(grams, (caught) => {
				const around = swathResults(caught, 1, 5, 'around');
				const back = swathResults(caught, 1, 5, 'up and down');
				around.forEach(({ rate }, at) => expect(back[at]!.rate).toBeCloseTo(rate, 4));
			})
		);
	});
	it('a skewed pattern that is driven up and down is another one than around the field', () => {
		const skewed = [0, 0, 30, 30, 20, 10, 0];
		const at = (driving: 'around' | 'up and down') => swathResults(skewed, 1, 5, driving)[3]!.cvPercent;
		expect(at('around')).not.toBeCloseTo(at('up and down'), 3);
	});
	it('says nothing of an even number of pans, or of empty ones', () => {
		expect(swathResults([1, 2, 3, 4], 1, 5, 'around')).toEqual([]);
		expect(swathResults([0, 0, 0, 0, 0], 1, 5, 'around')).toEqual([]);
	});
});

describe('loads', () => {
	it('of a 1000 gal tank for 62 ac at 13 gal', () => {
		expect(loadsFor(13, 62, 1000)).toEqual({ count: 1, acresPerLoad: 1000 / 13, last: 806 });
		expect(loadsFor(20, 100, 1000)).toMatchObject({ count: 2, last: 1000 });
		expect(loadsFor(20, 101, 1000)).toMatchObject({ count: 3, last: 20 });
		expect(acresPerLoad(20, 1000, 'gal')).toMatchObject({ value: 50, unit: 'ac' });
		expect(acresPerLoad(0, 1000, 'gal').applies).toBe(false);
	});
	it('hold exactly what the field takes (property)', () => {
		const amount = fc.double({ min: 1, max: 500, noNaN: true });
		fc.assert(
			fc.property(amount, amount, fc.double({ min: 100, max: 5000, noNaN: true }), (rate, acres, capacity) => {
				const { count, last } = loadsFor(rate, acres, capacity);
				expect((count - 1) * capacity + last).toBeCloseTo(rate * acres, 4);
				expect(last).toBeLessThanOrEqual(capacity);
			})
		);
	});
	it('a palm is fed by half-kilogram cups', () => expect(cupsPerPalm(1.8)).toEqual({ cups: 4, kg: 2 }));
});

it('counts back what went on: 40,000 less 9,500 lb over 150 ac is 203.3 lb/ac, 1.7 % over 200', () => {
	const { rate, off } = countBack(40_000, 9_500, 150, 200);
	expect(rate.value).toBeCloseTo(203.33, 2);
	expect(off.value).toBeCloseTo(1.667, 3);
});

describe('an order over the book', () => {
	const open = (fieldId: string, acres: number | undefined, one: Pass): OpenPass => ({
		units: 'us',
		fieldId,
		field: fieldId,
		grower: 'Tarrow',
		acres,
		pass: one
	});
	it('adds up to the sum of its fields, by product, and rounds up to what can be bought', () => {
		const lines = orderOf(
			[
				open('a', 40, pass('uan-28', 100)),
				open('a', 40, pass('uan-28', 50, { date: '2027-04-01' })),
				open('b', 30, pass('uan-28', 200)),
				open('b', 30, pass('aglime', 2, { unit: 'short ton/ac', date: '2026-12-01' })),
				open('c', undefined, pass('uan-28', 10))
			],
			library.products
		);
		expect(lines.map(({ product: { id } }) => id)).toEqual(['aglime', 'uan-28']);
		const uan = lines[1]!;
		expect(uan.parts.map(({ pounds }) => pounds)).toEqual([6000, 6000]);
		expect(uan.pounds).toBe(12000);
		expect(uan.gallons).toBeCloseTo(1124.6, 1);
		expect(uan.toBuy).toEqual({ amount: 1130, unit: 'gal' });
		expect(uan.withoutArea).toEqual(['c']);
		expect(lines[0]!.toBuy).toEqual({ amount: 60, unit: 'short tons' });
	});
	it('buys no less than it needs, and less than a step more (property)', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 1000, noNaN: true }),
				fc.double({ min: 1, max: 500, noNaN: true }),
				(rate, acres) => {
					const [line] = orderOf([open('a', acres, pass('urea', rate))], library.products);
					const tons = line!.pounds / 2000;
					expect(line!.toBuy.amount).toBeGreaterThanOrEqual(tons - 0.051);
					expect(line!.toBuy.amount).toBeLessThan(tons + 0.151);
				}
			)
		);
	});
});

describe('price of a pound, credited', () => {
	const prices: Record<string, number> = { N: 0.6, P2O5: 0.55 };
	it('takes off what the other nutrients are worth', () => {
		// a ton of DAP at $700: 360 lb N x 0.60 = 216; (700 - 216) / 920 lb P2O5
		const answer = creditedPrice(product('dap'), 'P2O5', 700, (nutrient) => prices[nutrient]);
		expect(answer).toMatchObject({ applies: true, unit: '$/lb P2O5' });
		expect(answer.applies && answer.value).toBeCloseTo(484 / 920, 9);
	});
	it('names what has no price, and does not apply without one of its own', () => {
		const answer = creditedPrice(product('ammonium-sulfate'), 'N', 470, (nutrient) => prices[nutrient]);
		expect(answer.applies && answer.cautions).toEqual(['Without a price, S in it counts for nothing.']);
		expect(creditedPrice(product('dap'), 'N', undefined, () => 1).applies).toBe(false);
		expect(creditedPrice(product('potash'), 'N', 450, () => 1)).toMatchObject({ reason: 'it holds no N' });
	});
});

describe('manure', () => {
	const kind = (id: string) => library.manures.kinds.find((one) => one.id === id)!;
	const handling = (id: string) => library.manures.handling.find((one) => one.id === id)!;
	it('ammonium stays by its handling, the organic part comes by the year', () => {
		const slurry = { totalN: 40, ammoniumN: 28, p2o5: 20, k2o: 25 };
		const injected = firstYearNitrogen(slurry, kind('swine-slurry'), handling('injected'));
		expect(injected.value).toBeCloseTo(28 + 12 * 0.5, 9);
		const surface = firstYearNitrogen(slurry, kind('swine-slurry'), handling('surface'));
		expect(surface.value).toBeCloseTo(28 * 0.3 + 6, 9);
	});
	it('the limiting nutrient sets the rate; nitrogen piles phosphate up', () => {
		const [least, byN] = manureRates({ N: 25, P2O5: 60, K2O: 50 }, { N: 150, P2O5: 60, K2O: 80 });
		expect(least).toMatchObject({ by: 'P2O5', unitsPerAcre: 1, short: { N: 125, K2O: 30 }, over: {} });
		const nitrogen = manureRates({ N: 25, P2O5: 60, K2O: 50 }, { N: 150, P2O5: 60, K2O: 80 }).find(
			({ by }) => by === 'N'
		)!;
		expect(nitrogen).toMatchObject({ unitsPerAcre: 6, over: { P2O5: 300, K2O: 220 } });
		expect(byN!.unitsPerAcre).toBeGreaterThan(1);
	});
	it('becomes a product that carries what the first year gets, and leaves some for the next', () => {
		const litter = manureProduct(
			'own-litter',
			'House 2',
			{ totalN: 60, ammoniumN: 10, p2o5: 55, k2o: 45 },
			kind('poultry-litter'),
			handling('same-day')
		);
		// 10 x 0.9 + 50 x 0.5 = 34 lb a ton
		expect(litter.analysis.N).toBeCloseTo(1.7, 6);
		expect(litter.hazards).toEqual(['raw-manure']);
		// Sulfur was not measured: none is counted.
		expect(litter.analysis.S ?? 0).toBe(0);
		// 3 tons x 50 lb x 0.12
		expect(laterNitrogen(6000, litter, 1)).toBeCloseTo(18, 9);
		expect(laterNitrogen(6000, litter, 2)).toBeCloseTo(7.5, 9);
		expect(laterNitrogen(6000, litter, 3)).toBe(0);
		expect(laterNitrogen(6000, product('urea'), 1)).toBe(0);
	});
});

describe('advice on sources', () => {
	const ground = (change: object = {}, context = planContext()) => ({
		context: { ...context, soilPh: 6.5 },
		targetPh: 6.5,
		magnesiumShort: false,
		...change
	});
	const texts = (passes: Pass[], on: ReturnType<typeof ground>) =>
		sourceAdvice(passes, on)
			.map(({ text }) => text)
			.join(' ');
	it('acid ground speaks against a souring source, not urea', () => {
		const acid = ground({ context: { ...planContext(), soilPh: 5.6 } });
		expect(texts([pass('ammonium-sulfate', 200)], acid)).toContain('each lb of this nitrogen costs 5.4 lb of lime');
		expect(texts([pass('urea', 200)], acid)).toBe('');
		expect(sourceAdvice([pass('ammonium-sulfate', 200)], acid)[0]!.instead[0]).toBe('calcium-nitrate');
		// bought for its phosphate
		expect(texts([pass('map', 200)], acid)).toBe('');
		expect(texts([pass('ammonium-sulfate', 200)], ground())).toBe('');
	});
	it('chloride speaks against potash on almond, not by corn', () => {
		const almond = ground({}, planContext({ cropId: 'almond' }));
		expect(texts([pass('potash', 200)], almond)).toContain('94 lb of chloride');
		expect(sourceAdvice([pass('potash', 200)], almond)[0]!.instead).toEqual([
			'potassium-sulfate',
			'potassium-magnesium-sulfate'
		]);
		expect(texts([pass('potash', 200)], ground())).toBe('');
		// Whatever the unit of the pass.
		expect(texts([{ ...pass('potash', 0.1), unit: 'short ton/ac' }], almond)).toContain('94 lb of chloride');
	});
	it('an adviser’s own product is offered like those of the catalogue', () => {
		const context = planContext({ cropId: 'almond' });
		const own: Product = { ...context.products.find(({ id }) => id === 'potassium-sulfate')!, id: 'own-sulfate-52' };
		own.analysis = { K2O: 52, S: 17 };
		const almond = ground({}, { ...context, products: [...context.products, own] });
		expect(sourceAdvice([pass('potash', 200)], almond)[0]!.instead[0]).toBe('own-sulfate-52');
	});
	it('short magnesium, sulfur without a place, and what the drip line cannot take', () => {
		const short = ground({ magnesiumShort: true });
		expect(texts([pass('aglime', 2, { unit: 'short ton/ac' })], short)).toContain('dolomitic lime');
		expect(texts([pass('potash', 100)], short)).toContain('potassium-magnesium sulfate');
		const sulfur = ground({ context: { ...planContext({ chosen: { S: 15 } }), soilPh: 6.5 } });
		expect(texts([pass('urea', 100)], sulfur)).toContain('15 lb S are still to find a place');
		expect(texts([pass('urea', 100), pass('gypsum', 100)], sulfur)).toBe('');
		expect(sourceAdvice([pass('urea', 100)], sulfur)[0]!.instead).toEqual([
			'ammonium-sulfate',
			'urea-ammonium-sulfate'
		]);
		expect(texts([pass('potassium-nitrate', 50, { placement: 'drip' })], ground())).toContain('dissolves slowly');
	});
});

it('the catalogue has at least forty generic products with full cards', () => {
	expect(library.products.length).toBeGreaterThanOrEqual(40);
	for (const { id, dissolves, citation, basis } of library.products) {
		expect(dissolves, id).toBeDefined();
		expect(basis === 'practice' || citation !== undefined, id).toBe(true);
	}
});
