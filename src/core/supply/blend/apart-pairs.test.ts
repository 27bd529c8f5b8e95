import { describe, expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import { apartPairs, whyApart } from './apart-pairs';

const product = (id: string) => library.products.find((one) => one.id === id)!;
const apart = (...ids: string[]) => apartPairs(ids.map(product));

/** Compatibility of fertilizers as the trade's mixing charts have it (from memory); each pair holds in either order. */
describe('what does not lie in one mix or tank', () => {
	it.each([
		['urea', 'ammonium-nitrate', 'turns to slush'],
		['urea', 'can-27', 'holds ammonium nitrate'],
		['calcium-nitrate', 'ammonium-sulfate', 'gypsum'],
		['calcium-nitrate', 'potassium-sulfate', 'gypsum'],
		['calcium-nitrate', 'map', 'calcium phosphate'],
		['calcium-nitrate', 'app-10-34-0', 'calcium phosphate'],
		['phosphoric-acid', 'ammonium-thiosulfate', 'sulfur dioxide'],
		['urea-sulfuric-acid', 'potassium-thiosulfate', 'sulfur dioxide'],
		['calcium-nitrate', 'sulfuric-acid', 'gypsum'],
		['calcium-nitrate', 'citric-acid', 'no acid'],
		['nitric-acid', 'urea', 'may explode'],
		['uan-28', 'nitric-acid', 'may explode']
	])('%s and %s: %s', (one, other, why) => {
		if (/slush|gypsum|dioxide|no acid|explode/.test(why))
			expect(whyApart(product(one), product(other))).toContain(why.replace('turns to ', ''));
		expect(apart(one, other)).toEqual([[one, other]]);
		expect(apart(other, one)).toEqual([[other, one]]);
	});

	it.each([
		['urea', 'potash'],
		['urea', 'map'],
		['map', 'ammonium-sulfate'],
		['uan-28', 'ammonium-nitrate'],
		['uan-28', 'ammonium-thiosulfate'],
		['potassium-nitrate', 'ammonium-sulfate'],
		['calcium-nitrate', 'potassium-nitrate'],
		['phosphoric-acid', 'potassium-sulfate']
	])('%s and %s go together', (one, other) => {
		expect(apart(one, other)).toEqual([]);
	});

	it('names each pair of a shelf once, and none of a product with itself', () => {
		expect(apart('urea', 'ammonium-nitrate', 'potash', 'can-27')).toEqual([
			['urea', 'ammonium-nitrate'],
			['urea', 'can-27']
		]);
		expect(apart('urea')).toEqual([]);
	});

	it('a product of the adviser’s own by what is in it, not by its name', () => {
		const own = { ...product('ammonium-nitrate'), id: 'own-1', name: 'Prills of the co-op' };
		expect(apartPairs([product('urea'), own])).toEqual([['urea', 'own-1']]);
		const nitrate = { ...own, nitrogenForms: { nitrate: 90, ammonium: 10, urea: 0 } };
		expect(apartPairs([product('urea'), nitrate])).toEqual([]);
		expect(apartPairs([product('urea'), { ...own, state: 'liquid' as const }])).toEqual([]);
	});
});
