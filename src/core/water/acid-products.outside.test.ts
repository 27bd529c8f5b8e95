// Acids of the catalogue against their equivalents: g/eq of 100 % acid are textbook weights; densities and strengths are trade values (from
// memory).
import { describe, expect, it } from 'vitest';
import { figure, valueIfKnown } from '../figure/figure';
import { library } from '../testing.test-help';
import { acidProducts } from './acid-products';

const acid = figure({ label: 'acid', value: 1, unit: 'meq/L', basis: 'measured' });
const of = (id: string) => acidProducts(acid, library.products).find(({ product }) => product.id === id)!;

describe('a meq/L in an acre-foot from products of the trade', () => {
	// 133.4 lb of 100 % H2SO4 (49.04 g/eq); the others by their weight for an equivalent against it.
	it.each([
		['sulfuric-acid', 133.4 / 0.93],
		['nitric-acid', (133.4 * 63.01) / 49.04 / 0.6],
		['urea-phosphate', (133.4 * 158.06) / 49.04],
		['phosphoric-acid', 266.5 / 0.746],
		['urea-sulfuric-acid', 133.4 / (0.09 * (98.08 / 32.06))]
	])('%s: %f lb', (id, pounds) => {
		expect(valueIfKnown(of(id).pounds)! / pounds).toBeCloseTo(1, 1);
		expect(Math.abs(valueIfKnown(of(id).pounds)! / pounds - 1)).toBeLessThan(0.03);
	});
	it('brings what it is made of: phosphoric acid 193 lb P2O5, which no crop takes', () => {
		expect(Math.abs(valueIfKnown(of('phosphoric-acid').brings.P2O5!)! - 193)).toBeLessThan(4);
		expect(valueIfKnown(of('nitric-acid').brings.N!)).toBeCloseTo(valueIfKnown(of('nitric-acid').pounds)! * 0.133, 6);
		expect(of('citric-acid').brings).toEqual({});
		expect(of('citric-acid').gallons).toBeUndefined();
		expect(valueIfKnown(of('sulfuric-acid').gallons!)).toBeCloseTo(valueIfKnown(of('sulfuric-acid').pounds)! / 15.3, 9);
	});
	it('costs what its pounds do; without a price it has none', () => {
		const priced = acidProducts(acid, library.products, (id) => (id === 'sulfuric-acid' ? 260 : undefined));
		const cost = (id: string) => priced.find(({ product }) => product.id === id)!.cost;
		// 133.4 lb pure in 93 %, at $260 for 2,000 lb.
		expect(Math.abs(valueIfKnown(cost('sulfuric-acid'))! - ((133.4 / 0.93) * 260) / 2000)).toBeLessThan(0.1);
		expect(cost('nitric-acid')).toMatchObject({ applies: false, remedy: 'Enter its price under Prices.' });
	});
	it('does not apply where the acid is not known', () => {
		const none = { applies: false as const, label: 'acid', reason: 'no pH', remedy: 'Measure it.' };
		expect(acidProducts(none, library.products).every(({ pounds }) => !pounds.applies)).toBe(true);
	});
});
