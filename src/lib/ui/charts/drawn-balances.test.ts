import { expect, it } from 'vitest';
import { drawnBalances } from './drawn-balances';

const SIZE = { width: 520, height: 210 };
const years = [
	{ name: 'Quillet Bros', year: 2026, balance: { N: 100, P2O5: -50 } },
	{ name: 'Quillet Bros', year: 2024, balance: { P2O5: -20 } },
	// Not harvested yet.
	{ name: 'Quillet Bros', year: 2027, balance: {} },
	{ name: 'Merrow Fruit', year: 2026, balance: { N: 5 } },
	{ name: 'Merrow Fruit', year: 2027, balance: { N: undefined } }
];

it('are drawn of whoever has more than a year with balances, in the letters of the paper, with the look of each line', () => {
	const { charts, left } = drawnBalances(years, ['N', 'P2O5'], 'us', SIZE);
	const [one, ...more] = charts;
	expect([one!.name, more, left]).toEqual(['Quillet Bros', [], 0]);
	expect(one!.keys.map(({ nutrient, type }) => [nutrient, type])).toEqual([
		['N', 'solid'],
		['P2O5', 'dashed']
	]);
	expect(new Set(one!.svg.match(/font-family:[^;"]*/g))).toEqual(new Set(['font-family:Hyperlegible']));
	expect(one!.svg.match(/>(20\d\d)<\/text>/g)).toEqual(['>2024</text>', '>2025</text>', '>2026</text>']);
});

it('go by the units: 100 lb/ac are 112 kg/ha, for which the axis goes to 150', () => {
	const top = (units: 'us' | 'metric') =>
		Math.max(
			...[...drawnBalances(years, ['N'], units, SIZE).charts[0]!.svg.matchAll(/>(-?[\d,]+)<\/text>/g)]
				.map(([, text = '']) => Number(text.replace(',', '')))
				.filter((value) => value < 2000)
		);
	expect([top('us'), top('metric')]).toEqual([100, 150]);
});

it('are not drawn of hundreds: how many are left out is said', () => {
	const many = Array.from({ length: 60 }, (_, at) => ({
		name: `Grower ${at >> 1}`,
		year: 2025 + (at % 2),
		balance: { N: 1 }
	}));
	const { charts, left } = drawnBalances(many, ['N'], 'us', SIZE);
	expect([charts.length, left]).toEqual([24, 6]);
});
