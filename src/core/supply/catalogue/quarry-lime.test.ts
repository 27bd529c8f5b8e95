import { describe, expect, it } from 'vitest';
import { InputError } from '../../check/problem';
import { effectiveFraction } from '../../rates/lime/liming-material';
import { library } from '../../testing.test-help';
import { productRows, readProductCsv } from './product-csv';
import { quarryLime } from './quarry-lime';

const TEST = { neutralizingValuePercent: 92, through8Percent: 90, through60Percent: 40, moisturePercent: 5 };
const csvOf = (rows: string[][]) => rows.map((row) => row.map((cell) => `"${cell}"`).join(',')).join('\n');

describe('a lime by its quarry’s test', () => {
	it('acts by its neutralizing value, its fineness and what is not water', () => {
		// By hand: fineness 40 + 50 x 0.5 + 10 x 0.15 = 66.5 %; 0.92 x 0.665 x 0.95 = 0.58121.
		const { lime, analysis } = quarryLime('North pit', { ...TEST, magnesiumPercent: 9 });
		expect(effectiveFraction(lime!)).toMatchObject({ applies: true, value: expect.closeTo(0.58121, 6) });
		expect(analysis).toEqual({ Mg: 9 });
		expect(quarryLime('North pit', TEST).analysis).toEqual({});
	});
	it('goes out as CSV and comes back the same, as those of the catalogue do', () => {
		const own = { ...quarryLime('North pit', TEST), id: 'north-pit' };
		const shipped = library.products.filter(({ lime }) => lime).map((one) => ({ ...one, id: `own-${one.id}` }));
		const back = readProductCsv(csvOf(productRows([own, ...shipped])));
		expect(back[0]).toEqual({ ...own, own: true });
		expect(back.slice(1).map(({ lime }) => lime)).toEqual(shipped.map(({ lime }) => lime));
	});
	it.each([
		['92,70,80', '80 % through 60 mesh is more than 70 % through 8 mesh'],
		['92,70,', 'the percent passing 60 mesh'],
		['250,90,40', 'neutralizingValuePercent'],
		['92,,', 'passing']
	])('is refused in a file with %s', (cells, said) => {
		const csv = `id,name,state,placements,CCE %,through 8 mesh %,through 60 mesh %\npit,Pit,dry,broadcast,${cells}\n`;
		let told = '';
		try {
			const [product] = readProductCsv(csv);
			const acts = effectiveFraction(product!.lime!);
			// A sieve that is missing is asked for where the lime is rated.
			if (!acts.applies) told = acts.remedy;
		} catch (error) {
			if (error instanceof InputError) told = error.problems.map(({ path, message }) => `${path} ${message}`).join();
		}
		expect(told).toContain(said);
	});
});
