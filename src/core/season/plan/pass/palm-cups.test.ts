import { describe, expect, it } from 'vitest';
import type { Pass } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { cupsOf, inCups } from './palm-cups';

const palm = library.crops.find(({ id }) => id === 'oil-palm')!;
const context = { crop: palm, plantsPerAc: 57.7, products: library.products };
/** lb/ac that give each palm a dose, kg. */
const forKg = (kg: number) => (kg / 0.45359237) * 57.7;
const round = (id: string, kg: number, of: Partial<Pass> = {}): Pass => ({
	id,
	date: '2027-02-01',
	label: id,
	product: 'potash',
	rate: forKg(kg),
	unit: 'lb/ac',
	placement: 'broadcast',
	reason: '',
	...of
});
const kgOf = (passes: readonly Pass[]) => passes.map(({ rate }) => Math.round((rate / forKg(1)) * 1000) / 1000);

// Common practice of estates: doses come in cups, the last round takes up the rounding.
describe('rounds of palms in cups of 0.25 kg', () => {
	it('close over the year: three of 0.807 kg are 0.75, 0.75 and 1', () => {
		const rounds = inCups([round('1', 0.807), round('2', 0.807), round('3', 0.807)], context);
		expect(kgOf(rounds)).toEqual([0.75, 0.75, 1]);
	});
	it('of less than half a cup wait for the next, and the only one is a cup', () => {
		expect(kgOf(inCups([round('1', 0.1), round('2', 0.1)], context))).toEqual([0.25]);
		expect(kgOf(inCups([round('1', 0.1)], context))).toEqual([0.25]);
	});
	it('count each product for itself, and leave sprays, tons and other crops alone', () => {
		const mixed = [
			round('1', 0.8),
			round('2', 0.8, { product: 'ammonium-sulfate' }),
			round('3', 0.8, { placement: 'leaf' }),
			round('4', 0.8, { unit: 'short ton/ac' })
		];
		expect(kgOf(inCups(mixed, context))).toEqual([0.75, 0.75, 0.8, 0.8]);
		const corn = { ...context, crop: library.crops.find(({ id }) => id === 'corn-grain')! };
		expect(inCups(mixed, corn)).toEqual(mixed);
	});
	it('a dose within a hundredth of whole cups is measured in them', () => {
		expect(cupsOf(4.03, 1)).toEqual({ cups: 4, whole: true });
		expect(cupsOf(4.05, 1)).toMatchObject({ whole: false });
		expect(cupsOf(0.3, 1)).toMatchObject({ whole: false });
	});
});
