// Residues of a palm-oil mill against what a crop of 25 t/ha takes. Common practice of the trade; removal by von Uexkull and
// Fairhurst 1991, from memory.
import { describe, expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import { LB_PER_SHORT_TON, T_HA_PER_SHORT_TON_AC } from '../../units/factors';
import { catalogueFor, offeredFor } from '../catalogue/offered-for';
import { manureAt, type ManureNutrient } from './manure-rate';

const NUTRIENTS: ManureNutrient[] = ['N', 'P2O5', 'K2O', 'Mg'];
const residue = (id: string) => library.products.find((product) => product.id === id)!;
const perTon = (id: string) =>
	Object.fromEntries(NUTRIENTS.map((one) => [one, (LB_PER_SHORT_TON * residue(id).analysis[one]!) / 100]));
/** lb/ac taken off by 25 t/ha of bunches: 2.9 kg N, 0.44 kg P, 3.7 kg K, 0.77 kg Mg a tonne, in lb per short ton of it. */
const crop = 25 / T_HA_PER_SHORT_TON_AC;
const removed = { N: 5.8 * crop, P2O5: 2.0164 * crop, K2O: 8.914 * crop, Mg: 1.54 * crop };

describe('empty bunches at 40 t/ha', () => {
	const { brings, short, over } = manureAt(40 / T_HA_PER_SHORT_TON_AC, perTon('empty-bunches'), removed);
	it('give all of P, K and Mg, and half of N', () => {
		expect(Object.keys(short)).toEqual(['N']);
		expect(brings.N! / removed.N).toBeCloseTo(0.5, 1);
		expect(Object.keys(over).sort()).toEqual(['K2O', 'Mg', 'P2O5']);
	});
	it('are offered for palms alone', () => {
		expect(offeredFor(residue('empty-bunches'), 'oil-palm')).toBe(true);
		expect(offeredFor(residue('decanter-cake'), 'corn-grain')).toBe(false);
		expect(offeredFor(residue('empty-bunches'), undefined)).toBe(false);
		expect(offeredFor(residue('urea'), 'corn-grain')).toBe(true);
	});
	it('stay in sight where a plan holds them though its crop is another', () => {
		const ids = (passes: { product: string }[]) =>
			catalogueFor(library.products, 'corn-grain', passes).map(({ id }) => id);
		expect(ids([{ product: 'empty-bunches' }])).toContain('empty-bunches');
		expect(ids([{ product: 'empty-bunches' }])).not.toContain('decanter-cake');
		expect(ids([])).not.toContain('empty-bunches');
	});
	it('never in heaps: the caution stands at the choice', () => {
		expect(residue('empty-bunches').hazards).toEqual(['palm-residue']);
	});
});
