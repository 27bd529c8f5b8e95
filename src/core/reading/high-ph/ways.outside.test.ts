// High-pH and sodic ground against the trade's sums: a pound of sulfur neutralises 3.12 lb CaCO3 (100.09 / 32.06), a percent of carbonate is
// 20,000 lb in 6 2/3 in, a meq/100 g of sodium takes 1,722 lb of pure gypsum (86.07 g/eq in 2,000,000 lb of soil).
import { describe, expect, it } from 'vitest';
import { figure, valueIfKnown } from '../../figure/figure';
import { cecParts, yearsToRaise } from '../soil/cec-parts';
import { soilLayers } from '../soil/soil-layers';
import { gypsumForSodium, highPhWays, sulfurForCarbonate } from './ways';

const given = (value: number, unit: string) => figure({ label: 'given', value, unit, basis: 'measured' });
const cec = given(20, 'meq/100 g');
const soil = (carbonate: number, sodium: number) =>
	soilLayers({
		layers: [
			{
				top: 0,
				bottom: 8,
				depthUnit: 'in',
				results: [
					{ analyte: 'carbonate', value: carbonate, unit: '%' },
					{ analyte: 'Na', value: sodium, unit: 'ppm' }
				]
			}
		]
	});

describe('ways with high-pH ground', () => {
	it('1 % lime is 20,000 lb: 6,410 lb of sulfur, 64 years at 100 lb', () => {
		expect(valueIfKnown(sulfurForCarbonate(soil(1, 0)))).toBeCloseTo(20_000 / 3.12, 6);
		const bulk = highPhWays(soil(1, 0), cec, () => 300).find(({ name }) => name === 'Sulfur over the whole layer')!;
		expect(valueIfKnown(bulk.years)).toBeCloseTo(64.1, 1);
		expect(valueIfKnown(bulk.cost)).toBeCloseTo((6410.26 / 0.9 / 2000) * 300, 0);
	});
	it('a meq/100 g of sodium above its target takes 1,722 lb of gypsum', () => {
		// 5 % of CEC 20 is 1 meq: 2 meq (460 ppm) are 1 over.
		expect(valueIfKnown(gypsumForSodium(soil(1, 460), cec))! / 1722).toBeCloseTo(1, 2);
		expect(gypsumForSodium(soil(1, 230), cec)).toMatchObject({
			applies: false,
			reason: 'sodium is not above 5 % of CEC'
		});
	});
	it('in a saturation extract full of gypsum, Ca and SO4 both above 20 meq/L, more stays undissolved', () => {
		const extract = (ca: number, so4: number) =>
			soilLayers({
				layers: [
					{
						top: 0,
						bottom: 8,
						depthUnit: 'in',
						results: [
							{ analyte: 'Na', value: 460, unit: 'ppm' },
							{ analyte: 'extractCa', value: ca, unit: 'meq/L' },
							{ analyte: 'extractSO4', value: so4, unit: 'meq/L' }
						]
					}
				]
			});
		const gypsumOf = (ca: number, so4: number) =>
			highPhWays(extract(ca, so4), cec, () => 40).find(({ name }) => name === 'Gypsum')!;
		expect(gypsumOf(24, 31).amount).toMatchObject({ applies: false, remedy: 'Stop buying gypsum; drain and leach.' });
		expect(gypsumOf(24, 31).cost.applies).toBe(false);
		expect(gypsumOf(24, 20).amount.applies).toBe(true);
		expect(gypsumOf(20, 31).amount.applies).toBe(true);
	});
	it('has no cost without a price, and never a rate of calcium carbonate', () => {
		const ways = highPhWays(soil(1, 460), cec, () => undefined);
		expect(ways.every(({ cost }) => !cost.applies)).toBe(true);
		expect(ways.find(({ name }) => name === 'Fine calcium carbonate')!.amount).toMatchObject({
			applies: false,
			reason: 'a trial, not a rate'
		});
	});
});

describe('what makes a CEC', () => {
	const parts = (organicMatter: number, clay: number) => cecParts(cec, given(organicMatter, '%'), given(clay, '%'));
	it('2 meq to a percent of organic matter, the rest by clay', () => {
		const { fromOrganicMatter, fromClay, perPercentClay, holdsMore } = parts(3, 28);
		expect([fromOrganicMatter, fromClay, perPercentClay].map(valueIfKnown)).toEqual([6, 14, 0.5]);
		expect(holdsMore.value).toBe(20);
	});
	it('does not apply where organic matter alone would hold more, or nothing was measured', () => {
		expect(parts(12, 20).fromClay).toMatchObject({ applies: false });
		const unknown = { applies: false as const, label: 'OM', reason: 'not measured', remedy: 'Ask.' };
		expect(cecParts(cec, unknown, cec).perPercentClay).toMatchObject({ reason: 'not measured' });
	});
	it('the carbon of it: 4 t a year gain 1,200 lb, of a percent 400 lb decay; 0.25 % a year would take 16.7 t', () => {
		// Year by year: gain 1,200 lb, 2 % of what was gained decays.
		let [gained, years] = [0, 0];
		for (; gained < 20_000; years++) gained += 1200 - 0.02 * gained;
		expect(Math.abs(valueIfKnown(parts(3, 28).yearsForOne)! - years)).toBeLessThan(1);
		expect(parts(3, 28).tonsForClaim.value).toBeCloseTo(16.67, 2);
		expect(yearsToRaise(1)).toMatchObject({ applies: false });
	});
});
