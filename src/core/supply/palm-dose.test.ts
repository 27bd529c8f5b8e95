import { expect, it } from 'vitest';
import { figure } from '../figure/figure';
import type { Block } from '../schema-types';
import { palmDose, palmDoseText } from './palm-dose';

const palms: Block = { plantedYear: 2009, layout: 'triangle', plantSpacing: 9, lengthUnit: 'm', plantsCounted: 3990 };
const pounds = (value: number) => figure({ label: 'rate', value, unit: 'lb/ac', basis: 'adviser' });
const AREA_AC = 69.2;
/** lb/ac that bring so many kg to each palm of the block. */
const rateFor = (kg: number) => (kg / 0.45359237) * (3990 / AREA_AC);

// Common practice: doses in cups of a quarter kilogram, product in whole bags with the remainder shown.
it('counts bags and remainder by the dose', () => {
	const dose = palmDose(pounds(rateFor(2.5)), palms, AREA_AC)!;
	expect([dose.dose.value, dose.palms.value, dose.product.value, dose.bags, dose.remainderKg]).toEqual([
		2.5, 3990, 9975, 199, 25
	]);
	expect(palmDoseText(dose)).toBe('2.5 kg/palm, 3990 palms: 199 bags of 50 kg and 25 kg');
});

it('says nothing without palms or area, or where no cup measures the dose', () => {
	expect(palmDose(pounds(100), undefined, AREA_AC)).toBeUndefined();
	expect(palmDose(pounds(100), palms, undefined)).toBeUndefined();
	expect(palmDose(pounds(100), { plantedYear: 2009 }, AREA_AC)).toBeUndefined();
	expect(palmDose(pounds(rateFor(0.2)), palms, AREA_AC)).toBeUndefined();
	expect(palmDose(pounds(rateFor(2.6)), palms, AREA_AC)).toBeUndefined();
});
