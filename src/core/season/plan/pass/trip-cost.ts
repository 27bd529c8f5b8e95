import { figure, type Figure } from '../../../figure/figure';
import type { Pass, Product } from '../../../schema-types';
import type { PriceOf } from './pass-cost';
import { byTrip } from '../trips';

/** Kinds of trips over a field that a price list knows, with what they are called. The planter goes anyway, and water is pumped anyway. */
export const TRIP_KINDS = [
	{ id: 'spread', name: 'Trip: spreader' },
	{ id: 'spray', name: 'Trip: sprayer or drop nozzles' },
	{ id: 'knife', name: 'Trip: knife, coulter or strip till' }
] as const;
export type TripKind = (typeof TRIP_KINDS)[number]['id'];

const WITH_PLANTER: ReadonlySet<Pass['placement']> = new Set(['seed row', '2x2 band', 'side band', 'mid-row band']);
const WITH_WATER: ReadonlySet<Pass['placement']> = new Set(['drip', 'pivot']);
const BY_KNIFE: ReadonlySet<Pass['placement']> = new Set(['injected', 'coulter mid-row', 'deep strip band']);

/** The kind of trip of a pass; undefined where it goes on with the planter or the water. */
export function tripKindOf(
	{ placement }: Pick<Pass, 'placement'>,
	{ state }: Pick<Product, 'state'>
): TripKind | undefined {
	if (WITH_PLANTER.has(placement) || WITH_WATER.has(placement)) return undefined;
	if (BY_KNIFE.has(placement)) return 'knife';
	return state === 'liquid' || placement === 'leaf' || placement === 'row-base stream' ? 'spray' : 'spread';
}

/**
 * What the trips over the field cost, $/ac: one price for each trip, by the dearest machine of its products.
 * @param priceOf the price in force of `trip:<kind>`, $/ac
 * @returns with a caution for each kind that has no price: it is not counted
 */
export function tripsCost(passes: readonly Pass[], productOf: (pass: Pass) => Product, priceOf: PriceOf): Figure {
	const missing = new Set<string>();
	const parts = [...byTrip(passes, (pass) => pass).values()].flatMap((trip) => {
		const kinds = trip.flatMap((pass) => tripKindOf(pass, productOf(pass)) ?? []);
		const priced = kinds.flatMap((kind) => {
			const price = priceOf(`trip:${kind}`);
			if (price === undefined) missing.add(TRIP_KINDS.find(({ id }) => id === kind)!.name);
			return price === undefined ? [] : [price];
		});
		if (priced.length === 0) return [];
		return [figure({ label: `trip of ${trip[0]!.label}`, value: Math.max(...priced), unit: '$/ac', basis: 'adviser' })];
	});
	return figure({
		label: 'trips',
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit: '$/ac',
		formula: 'sum of the trips; with the planter and with water none',
		inputs: parts,
		basis: 'adviser',
		cautions: [...missing].map((name) => `${name}: no price is known, so it is not counted.`)
	});
}
