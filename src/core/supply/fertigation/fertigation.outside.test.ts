// Stock tanks and pump rates against the trade's sums: stock = lb / solubility, g/L x 0.00835 = lb/gal; drip injects in the middle half of
// a set; pivot, gal/ac x ac/h. Solubilities at 20 C as fertigation tables have them (from memory).
import { describe, expect, it } from 'vitest';
import { valueIfKnown } from '../../figure/figure';
import type { FertigationRequest, WaterReport } from '../../schema-types';
import { library } from '../../testing.test-help';
import { planFertigation } from './plan-fertigation';
import { solubilityAt } from './solubility';

const { products } = library;
const product = (id: string) => products.find((one) => one.id === id)!;
const well: WaterReport = { unit: 'meq/L', ph: 7.8, ca: 3.2, hco3: 4 };
const drip = { kind: 'drip', zones: 4, hoursPerZone: 8 } as const;
const plan = (doses: FertigationRequest['doses'], change: Partial<FertigationRequest> = {}) =>
	planFertigation({ areaAcres: 40, doses, through: drip, ...change }, products);
const codes = (...given: Parameters<typeof plan>) => plan(...given).cautions.map(({ code }) => code);

describe('solubility', () => {
	it.each([
		['urea', 1080],
		['ammonium-nitrate', 1920],
		['ammonium-sulfate', 754],
		['calcium-nitrate', 1290],
		['potassium-nitrate', 316],
		['map', 374],
		['potash', 340],
		['potassium-sulfate', 111],
		['magnesium-sulfate', 710],
		['urea-phosphate', 960]
	])('%s at 20 C: %i g/L', (id, grams) => {
		expect(valueIfKnown(solubilityAt(product(id), 20))).toBeCloseTo(grams * 0.008345, 2);
	});
	it('cold water holds less, between the temperatures in a straight line', () => {
		const at = (waterC: number) => valueIfKnown(solubilityAt(product('potassium-nitrate'), waterC))!;
		expect(at(15)).toBeCloseTo((at(10) + at(20)) / 2, 9);
		expect(at(10) / at(20)).toBeCloseTo(209 / 316, 9);
	});
	it('does not apply colder than the card knows, to liquids, and to what does not dissolve', () => {
		expect(solubilityAt(product('calcium-nitrate'), 10)).toMatchObject({ applies: false });
		expect(solubilityAt(product('uan-28'), 20)).toMatchObject({ applies: false, reason: 'it is a liquid' });
		expect(solubilityAt(product('gypsum'), 20)).toMatchObject({ applies: false });
	});
});

describe('stock and injection', () => {
	it('20 lb/ac of potassium nitrate on 40 ac: 800 lb in 303 gal, 76 to a zone, 19 gal/h in the middle four hours', () => {
		const { tanks, injections, timing } = plan([{ product: 'potassium-nitrate', lbPerAcre: 20 }]);
		expect(valueIfKnown(tanks[0]!.gallons)).toBeCloseTo(800 / (316 * 0.008345), 0);
		expect(valueIfKnown(injections[0]!.perZone!)).toBeCloseTo(75.8, 1);
		expect(valueIfKnown(injections[0]!.pumpRate)).toBeCloseTo(75.8 / 4, 1);
		expect(timing).toEqual({ from: 2, to: 6, end: 8 });
	});
	it('pivot: 5 gal/ac of UAN-28 on 130 ac in 65 hours is 10 gal/h', () => {
		const through = { kind: 'pivot', hoursPerTurn: 65 } as const;
		const dose = { product: 'uan-28', lbPerAcre: 5 * product('uan-28').densityLbPerGal! };
		const { injections, timing } = plan([dose], { areaAcres: 130, through });
		expect(valueIfKnown(injections[0]!.pumpRate)).toBeCloseTo(10, 9);
		expect([injections[0]!.perZone, timing]).toEqual([undefined, undefined]);
	});
	it('two in one tank each need their own water, and the one that needs most limits it', () => {
		const doses = [
			{ product: 'potassium-nitrate', lbPerAcre: 20 },
			{ product: 'urea', lbPerAcre: 20 }
		];
		const { tanks, cautions } = plan(doses, { tankGal: 200 });
		expect(tanks[0]!.limitedBy?.product.id).toBe('potassium-nitrate');
		expect(valueIfKnown(tanks[0]!.gallons)).toBeCloseTo(303.4 + 800 / (1080 * 0.008345), 0);
		expect(valueIfKnown(tanks[0]!.fills)).toBe(2);
		expect(cautions[0]!.text).toContain('Potassium nitrate 13-0-46 limits tank A: 800 lb make');
		expect(codes(doses, { tankGal: 400 })).toEqual(['dissolves-slowly']);
	});
});

describe('what must not meet', () => {
	const calcium = { product: 'calcium-nitrate', lbPerAcre: 20 };
	it.each([
		['sulfuric-acid', 'its calcium falls out with sulfate as gypsum'],
		['phosphoric-acid', 'its calcium falls out with phosphate'],
		['citric-acid', 'no acid goes into a tank with calcium nitrate'],
		['magnesium-sulfate', 'its calcium falls out with sulfate as gypsum'],
		['map', 'its calcium falls out with phosphate']
	])('%s in the tank of calcium nitrate is refused: %s', (id, why) => {
		const { cautions } = plan([calcium, { product: id, lbPerAcre: 10, tank: 'B' }]);
		expect(cautions.find(({ code }) => code === 'tank-apart')).toMatchObject({
			severity: 'stop',
			text: expect.stringContaining(`must not meet in tank B: ${why}`) as string
		});
		expect(codes([calcium, { product: id, lbPerAcre: 10 }])).not.toContain('tank-apart');
	});
	it('calcium chloride with a sulfate is refused too, with a thiosulfate not', () => {
		const chloride = { product: 'calcium-chloride', lbPerAcre: 5, tank: 'A' as const };
		expect(codes([chloride, { product: 'ammonium-sulfate', lbPerAcre: 5 }])).toContain('tank-apart');
		expect(codes([chloride, { product: 'ammonium-thiosulfate', lbPerAcre: 5 }])).not.toContain('tank-apart');
	});
	it('acid has a tank of its own, calcium another', () => {
		const doses = ['nitric-acid', 'calcium-nitrate', 'potash'].map((id) => ({ product: id, lbPerAcre: 5 }));
		expect(plan(doses).tanks.map(({ name, doses: own }) => [name, own[0]!.product.id])).toEqual([
			['A', 'potash'],
			['B', 'calcium-nitrate'],
			['C', 'nitric-acid']
		]);
	});
	it('two tanks that take turns pump twice as fast each', () => {
		const nitrate = { product: 'calcium-nitrate', lbPerAcre: 20 };
		const rateOf = (doses: FertigationRequest['doses'], product: string) => {
			const { tanks, injections } = plan(doses);
			const { name } = tanks.find(({ doses: own }) => own.some((one) => one.product.id === product))!;
			return valueIfKnown(injections.find(({ tank }) => tank === name)!.pumpRate)!;
		};
		const alone = rateOf([nitrate], 'calcium-nitrate');
		expect(rateOf([nitrate, { product: 'ammonium-sulfate', lbPerAcre: 20 }], 'calcium-nitrate')).toBeCloseTo(
			2 * alone,
			9
		);
		expect(rateOf([nitrate, { product: 'urea', lbPerAcre: 10 }], 'urea')).toBeGreaterThan(0);
	});
	it('acid goes in before the others, and calcium not in the hour of sulfate', () => {
		const order = (...doses: FertigationRequest['doses']) =>
			plan(doses).cautions.filter(({ code }) => code === 'acid-first' || code === 'one-after-another');
		const nitrate = { product: 'calcium-nitrate', lbPerAcre: 20 };
		expect(order(nitrate)).toEqual([]);
		expect(order(nitrate, { product: 'urea', lbPerAcre: 10 })).toEqual([]);
		const [apart, ...more] = order(nitrate, { product: 'ammonium-sulfate', lbPerAcre: 20 });
		expect(more).toEqual([]);
		expect(apart!.text).toMatch(/^Tank \w and tank \w go through the line one after the other/);
		const acid = order({ product: 'sulfuric-acid', lbPerAcre: 5 }, { product: 'urea', lbPerAcre: 10 });
		expect(acid.map(({ text }) => text)).toEqual([
			expect.stringMatching(/^Tank \w+ with acid goes in first.*point of tank/)
		]);
	});
	it('phosphate into hard water is stopped, unless acid brings it to 6.5 or the water is soft', () => {
		const map = [{ product: 'map', lbPerAcre: 10 }];
		const acid = [{ product: 'monopotassium-phosphate', lbPerAcre: 10 }];
		expect(codes(map, { water: well })).toEqual(['phosphate-precipitates', 'leaves-residue']);
		expect(codes(acid, { water: well })).toContain('phosphate-precipitates');
		expect(codes(map, { water: well, acidTo: 6.5 })).toEqual(['leaves-residue']);
		expect(codes(map, { water: { ...well, ca: 2.4 } })).toEqual(['leaves-residue']);
		expect(codes(map)).toContain('water-not-known');
		expect(codes([{ product: 'urea', lbPerAcre: 10 }], { water: well })).toEqual([]);
	});
	it('what does not dissolve is stopped, and a product that is not there is named', () => {
		const { cautions, injections } = plan([{ product: 'gypsum', lbPerAcre: 10 }]);
		expect(cautions[0]).toMatchObject({ code: 'not-dissolved', severity: 'stop' });
		expect(injections[0]!.pumpRate).toMatchObject({ applies: false });
		expect(plan([{ product: 'calcium-chloride', lbPerAcre: 10 }]).cautions[0]).toMatchObject({
			code: 'solubility-unknown',
			severity: 'mind'
		});
		expect(() => plan([calcium, { product: 'nothing', lbPerAcre: 1 }])).toThrow('/doses/1/product');
	});
});
