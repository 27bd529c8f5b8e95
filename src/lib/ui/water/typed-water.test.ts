import { expect, it } from 'vitest';
import { ASKED, askedUnit, readWater, typedOf } from './typed-water';

const about = { unit: 'meq/L', crop: 'almond' } as const;

it('a typed report becomes the request of the command line', () => {
	expect(readWater({ ca: '3.2', ph: '7.8', mg: ' ', acidTo: '6.5', ece: '2.5', inchesPerSeason: '36' }, about)).toEqual(
		{
			water: { unit: 'meq/L', ca: 3.2, ph: 7.8 },
			crop: 'almond',
			acidTo: 6.5,
			ece: 2.5,
			inchesPerSeason: 36
		}
	);
	expect(readWater({ titration: '0 7.8\n\n1, 6.9\n2;6.1\n' }, about)).toEqual({
		water: { unit: 'meq/L' },
		crop: 'almond',
		titration: [
			{ meqPerL: 0, ph: 7.8 },
			{ meqPerL: 1, ph: 6.9 },
			{ meqPerL: 2, ph: 6.1 }
		]
	});
	expect(readWater({}, about)).toEqual({ water: { unit: 'meq/L' }, crop: 'almond' });
});

it.each([
	[{ na: 'much' }, 'Na “much” must be a number from 0 to 100000.'],
	[{ ph: '2' }, 'pH “2” must be a number from 3 to 11.'],
	[{ titration: '0 7.8\n1.5' }, 'The titration “1.5” must be acid in meq/L and the pH it gave, such as “1.5 6.6”.'],
	[{ titration: '0 7.8' }, 'A titration needs at least two points.'],
	[{ acidTo: '4' }, 'pH to bring it to “4” must be a number from 5 to 8.5.']
])('%o is refused in words', (typed, words) => {
	expect(readWater(typed, about)).toBe(words);
});

it('a report of the book is typed again as it was', () => {
	const water = { unit: 'meq/L', ca: 3.2, ph: 7.8, no3n: 0 } as const;
	expect(typedOf(water)).toEqual({ ca: '3.2', ph: '7.8', no3n: '0' });
	expect(readWater(typedOf(water), { unit: 'meq/L' })).toEqual({ water });
});

it('takes millimetres of water and dollars by the kilogram from who reads metric: 914.4 mm are 36 in', () => {
	const read = readWater({ inchesPerSeason: '914.4', acidPrice: '0.44092' }, { unit: 'ppm' }, 'metric');
	expect(read).toMatchObject({
		inchesPerSeason: expect.closeTo(36, 6) as number,
		acidPrice: expect.closeTo(0.2, 5) as number
	});
	const depth = ASKED.find(({ key }) => key === 'inchesPerSeason')!;
	expect([askedUnit(depth, 'us'), askedUnit(depth, 'metric')]).toEqual(['in', 'mm']);
});
