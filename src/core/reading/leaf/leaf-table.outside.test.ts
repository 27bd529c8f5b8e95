// The whole table of sufficient ranges as the trade hands it on, % of dry matter, B to Fe in ppm: Vitosh, Johnson and Mengel 1995 (E-2567;
// phosphorus of soybean from 0.26 is common practice), University of California (almond), Stiles and Reid 1991 (apple),
// Embleton (avocado), Oregon State University (hazelnut; blackberry, EM 8903). All of it written from memory.
import { expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import { LEAF_ELEMENTS } from '../../units/leaf-units';

/** N, P, K, Ca, Mg, S, B, Zn, Mn, Cu, Fe: low-high, "low-" without an upper end, "." where none is known. */
const TABLE: Record<string, string> = {
	'corn-grain': '2.90-3.50 .30-.50 1.91-2.50 .21-1.00 .16-.60 .16-.50 4-25 20-70 20-150 6-20 21-250',
	soybean: '4.25-5.50 .26-.50 2.01-2.50 .36-2.00 .26-1.00 .21-.40 21-55 21-50 21-100 10-30 51-350',
	'winter-wheat': '2.59-4.00 .21-.50 1.51-3.00 .21-1.00 .16-1.00 .21-.40 6-40 21-70 16-200 6-50 11-300',
	alfalfa: '3.76-5.50 .26-.70 2.01-3.50 1.76-3.00 .31-1.00 .31-.50 31-80 21-70 31-100 11-30 31-250',
	almond: '2.2-2.5 .10-.30 1.4-2.0 2.0- .25- . 30-65 15- 20- 4- .',
	apple: '1.8-2.4 .13-.33 1.35-1.85 1.3-2.0 .35-.50 . 35-50 35-50 50-150 7-12 50-',
	avocado: '2.0-2.4 .08-.25 .75-2.0 1.0-3.0 .25-.80 .20-.60 50-100 30-150 30-500 5-15 50-200',
	hazelnut: '2.21-2.50 .14-.45 .81-2.0 1.01-2.5 .25-.50 . 31-75 16-60 26-650 5-15 51-400',
	blackberry: '2.3-3.0 .19-.45 1.3-2.0 .6-2.0 .3-.6 .1-.2 30-70 15-50 50-300 6-20 60-250'
};

it.each(Object.entries(TABLE))('%s: each element, and no other', (crop, row) => {
	const wanted = Object.fromEntries(
		row.split(' ').flatMap((cell, at) => {
			if (cell === '.') return [];
			const [low = '', high = ''] = cell.split('-');
			return [[LEAF_ELEMENTS[at]!, high === '' ? { low: Number(low) } : { low: Number(low), high: Number(high) }]];
		})
	);
	expect(library.leafRanges.find((one) => one.crop === crop)!.ranges).toEqual(wanted);
});

it('corn for silage and spring wheat have those of corn and winter wheat', () => {
	const of = (crop: string) => library.leafRanges.find((one) => one.crop === crop)!.ranges;
	expect(of('corn-silage')).toEqual(of('corn-grain'));
	expect(of('spring-wheat')).toEqual(of('winter-wheat'));
});
