import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { library } from '../testing.test-help';
import type { Pass } from '../schema-types';
import { productOf } from '../season/plan/plan-context';
import { batchesFor } from './blend/batches';
import { treatedAcres } from './order';
import { tripLoading, type LoadedPass } from './trip-loading';

const SIZES = { tankGal: 1000, boxLb: 12_000, batchLb: 12_000, weighLb: 50 };
const loaded = (product: string, change: Partial<Pass>): LoadedPass => ({
	pass: {
		id: product,
		date: '2027-06-08',
		label: 'Side-dress',
		product,
		rate: 100,
		unit: 'lb/ac',
		placement: 'row-base stream',
		reason: '',
		...change
	},
	product: productOf({ product }, library.products)
});

describe('what goes into each load', () => {
	const thiosulfate = library.products.find(
		({ sulfurForm, state }) => sulfurForm === 'thiosulfate' && state === 'liquid'
	)!;

	it('liquids share a tank, the carrier first, additives last by their label', () => {
		const trip = [
			loaded(thiosulfate.id, { rate: 5, unit: 'gal/ac' }),
			loaded('uan-28', { rate: 35, unit: 'gal/ac', additive: 'urease inhibitor' })
		];
		const [tank, ...more] = tripLoading(trip, 60, SIZES);
		expect(more).toEqual([]);
		// 40 gal/ac from a tank of 1000 gal: 25 acres each, three of them, the last with 10 acres.
		expect(tank).toMatchObject({ into: 'tank', unit: 'gal', count: 3, acresPerLoad: 25, lastAcres: 10 });
		expect(
			tank!.parts.map(({ name, full, last, byLabel }) => [
				name,
				full && Math.round(full),
				last && Math.round(last),
				byLabel
			])
		).toEqual([
			['UAN-28', 875, 350, undefined],
			[thiosulfate.name, 125, 50, undefined],
			['urease inhibitor', undefined, undefined, true]
		]);
		expect(tank!.notes[0]).toContain('Half of the first one into the tank');
	});
	it('what must not meet in one tank is said', () => {
		const acid = {
			...loaded('uan-28', {}),
			product: { ...loaded('uan-28', {}).product, id: 'acid', name: 'An acid', hazards: ['acid' as const] }
		};
		const [tank] = tripLoading([acid, loaded(thiosulfate.id, {})], 60, SIZES);
		expect(tank!.notes.at(-1)).toBe(`An acid and ${thiosulfate.name} must not meet in one tank.`);
	});
	it('dry goods share a box where they lie alike; gases, what water carries and fields without an area have none', () => {
		const trip = [
			loaded('map', { placement: 'broadcast' }),
			loaded('potash', { placement: 'broadcast', rate: 200 }),
			loaded('urea', { placement: 'seed row', rate: 20 }),
			loaded('uan-28', { placement: 'pivot' }),
			loaded('ammonia', { placement: 'injected' })
		];
		const boxes = tripLoading(trip, 100, SIZES);
		expect(boxes.map(({ into, count, parts }) => [into, count, parts.length])).toEqual([
			['box', 3, 2],
			['box', 1, 1]
		]);
		expect(tripLoading(trip, undefined, SIZES)).toEqual([]);
	});
	it('loads add up to what the field takes', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 400, noNaN: true }),
				fc.double({ min: 0.5, max: 900, noNaN: true }),
				(rate, acres) => {
					const [box] = tripLoading([loaded('potash', { placement: 'broadcast', rate })], acres, SIZES);
					const { full, last } = box!.parts[0]!;
					expect((box!.count - 1) * full! + last!).toBeCloseTo(rate * acres, 4);
					expect(full!).toBeLessThanOrEqual(SIZES.boxLb + 1e-6);
				}
			)
		);
	});
});

describe('batches', () => {
	it('are alike, and a step of the scale becomes a step per acre', () => {
		// 300 lb/ac on 100 ac are 30,000 lb: three batches of 10,000 lb for 33.3 ac; 50 lb in each are 1.5 lb/ac.
		expect(batchesFor(300, 100, 12_000, 50)).toEqual({
			count: 3,
			acresEach: expect.closeTo(33.3333, 4) as number,
			stepLbPerAcre: expect.closeTo(1.5, 9) as number
		});
		expect(batchesFor(120, 100, 12_000, 50).count).toBe(1);
	});
});

it('both inhibitors count on their acres each', () => {
	const open = (acres: number | undefined, additive: Pass['additive']) => ({
		fieldId: 'f',
		field: 'North',
		grower: 'Tarrow',
		units: 'us' as const,
		acres,
		pass: loaded('uan-28', { additive }).pass
	});
	expect(
		treatedAcres([
			open(40, 'both inhibitors'),
			open(22, 'urease inhibitor'),
			open(9, undefined),
			open(undefined, 'urease inhibitor')
		])
	).toEqual([
		{ additive: 'nitrification inhibitor', acres: 40 },
		{ additive: 'urease inhibitor', acres: 62 }
	]);
});
