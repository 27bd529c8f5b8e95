import { describe, expect, it } from 'vitest';
import type { Basis } from '../../core/schema-types';
import { lineLook, outlookChart } from './charts/outlook';
import { profileChart } from './charts/profile';
import { balancesChart } from './charts/balances';
import { balanceAndTestChart } from './charts/balance-and-test';
import { trendChart } from './charts/trend';
import { phStrip } from './charts/ph-strip';
import { responseCurve } from './charts/response-curve';
import { longDate, shortDate } from '$core/units/day-text';
import { ageText } from './figure/age-text';
import { numberOrUndefined } from './forms/numbers';
import { nutrientColor } from './figure/nutrient-color';
import { basisText } from './figure/basis-text';
import { unitText } from './figure/unit-text';
import { figure } from '../../core/figure/figure';

describe('a typed number', () => {
	it.each([
		['180', 180],
		[' 0.5 ', 0.5],
		['.5', 0.5],
		['1,240.5', 1240.5],
		['-3', -3],
		[12, 12]
	])('%s is read', (text, value) => expect(numberOrUndefined(text)).toBe(value));
	it.each(['', ' ', '-', '5,4', '1e3', 'a lot', '12 bu', '1,24', NaN, null, undefined])('%s is none', (text) =>
		expect(numberOrUndefined(text)).toBeUndefined()
	);
});

describe('dates', () => {
	it('are written as people write them', () => {
		expect([longDate('2027-06-04'), shortDate('2027-06-04')]).toEqual(['4 Jun 2027', '4 Jun']);
	});
	it.each([
		['2026-11-22', '1 day'],
		['2026-11-13', '10 days'],
		['2026-10-12', '6 weeks'],
		['2026-05-20', '6 months'],
		['2024-10-20', '2 years'],
		['2026-11-24', 'in the future']
	])('%s is %s old', (day, age) => expect(ageText(day, '2026-11-23')).toBe(age));
});

describe('words', () => {
	it('say where a figure comes from', () => {
		const of = (basis: Basis, citation = 'Bulletin 1') =>
			basisText(figure({ label: 'x', value: 1, unit: '', basis, citation }));
		expect(of('published')).toBe('Published: Bulletin 1.');
		expect(of('memory')).toBe('Published: Bulletin 1. Value written from memory.');
		expect(of('practice')).toBe('Common practice.');
		expect(of('measured', '20 own sites.')).toBe('Measured: 20 own sites.');
		expect(of('adviser', '')).toBe('Set by the adviser.');
	});
	it('tell the two kinds of pounds apart', () => {
		expect(unitText('lb/ac')).not.toBe(unitText('lb/ac-furrow'));
	});
	it('give lime and potash colours of their own', () => {
		expect(new Set((['N', 'P2O5', 'K2O', 'S', 'lime'] as const).map(nutrientColor)).size).toBe(5);
	});
});

describe('the pH strip', () => {
	const series = (target: number | undefined, band?: { low: number; high: number }) => {
		const option = phStrip({
			points: [
				[4, 10],
				[5, 73],
				[9, 60]
			],
			band,
			soilPh: 5.6,
			target
		}) as {
			series: { data: unknown[]; markPoint: { data: unknown[] }; markArea?: unknown }[];
		};
		return option.series[0]!;
	};
	it('stays on its scale and marks a target only where it is another place than the soil', () => {
		expect(series(6.5).data).toEqual([[5, 73]]);
		expect(series(6.5).markPoint.data).toHaveLength(1);
		expect(series(5.6).markPoint.data).toEqual([]);
		expect(series(undefined).markPoint.data).toEqual([]);
	});
	it('shades a band only for a crop that has one', () => {
		expect(series(6.5).markArea).toBeUndefined();
		expect(series(6.5, { low: 6.3, high: 6.8 }).markArea).toBeDefined();
	});
});

it('the response curve always has room for the soil that stands on it', () => {
	for (const [soilTest, critical] of [
		[3, 15],
		[80, 15],
		[40, 115],
		[400, 115]
	] as const) {
		const end = Math.max(soilTest * 1.25, critical * 3);
		const points: [number, number][] = Array.from({ length: 61 }, (_, at) => [(end * at) / 60, 50]);
		const option = responseCurve({ points, soilTest, yieldHere: 50, critical, color: '#000', unit: 'ppm' }) as {
			xAxis: { max: number };
		};
		expect(option.xAxis.max, `${soilTest}`).toBeGreaterThanOrEqual(soilTest);
	}
});

/** What the tests look at in a chart's option. */
interface Drawn {
	xAxis: { min?: number; max?: number; name?: string };
	yAxis: { min: number; max: number; inverse?: boolean; name?: string };
	series: {
		name?: string;
		data: unknown[];
		markPoint?: { data: { coord: number[] }[] };
		markLine?: { data: unknown };
	}[];
}

describe('the profile', () => {
	const layer = (index: number, ph: number) => ({
		depthText: `${index * 5}-${index * 5 + 5} cm`,
		topIn: (index * 5) / 2.54,
		bottomIn: (index * 5 + 5) / 2.54,
		ph,
		acid: ph < 5.5,
		aluminium: ph < 4.8
	});
	const option = profileChart({
		layers: [layer(0, 5.9), layer(1, 3.6)],
		lines: { acid: 5.5, aluminium: 4.8 },
		scaleName: 'CaCl2',
		unit: 'cm',
		perInch: 2.54
	}) as unknown as Drawn;
	it('has the surface at the top and every layer in sight', () => {
		expect(option.yAxis).toMatchObject({ inverse: true, min: 0, name: 'depth, cm' });
		expect(option.yAxis.max).toBeCloseTo(10, 9);
		expect(option.xAxis).toMatchObject({ min: 3, max: 7, name: 'pH in CaCl2' });
	});
	it('steps from layer to layer, with each value in the middle of its layer', () => {
		const [line] = option.series;
		expect(line?.data).toHaveLength(4);
		expect(line?.markPoint?.data.map(({ coord }) => coord.map((at) => +at.toFixed(6)))).toEqual([
			[5.9, 2.5],
			[3.6, 7.5]
		]);
	});
});

describe('the outlook', () => {
	const option = outlookChart(
		[
			{ name: 'Build-up and maintenance', tests: [10, 12, 14] },
			{ name: 'Sufficiency', tests: [10, 9, 8] }
		],
		2027,
		'ppm'
	) as unknown as Drawn;
	it('runs over the years from zero to above the highest test', () => {
		expect(option.xAxis).toMatchObject({ min: 2027, max: 2029 });
		expect(option.yAxis.min).toBe(0);
		expect(option.yAxis.max).toBeGreaterThan(14);
		expect(option.series[1]).toMatchObject({
			name: 'Sufficiency',
			data: [
				[2027, 10],
				[2028, 9],
				[2029, 8]
			]
		});
	});
	it('tells its lines apart by more than colour', () => {
		const looks = [0, 1, 2, 3, 4, 5].map((index) => `${lineLook(index).type} ${lineLook(index).symbol}`);
		expect(new Set(looks).size).toBe(6);
		expect(lineLook(6)).toEqual(lineLook(0));
	});
});

it('the balance stands below the soil test, whatever their sizes', () => {
	const drawn = balanceAndTestChart({
		balances: [
			{ year: 2024, value: -60 },
			{ year: 2025, value: undefined },
			{ year: 2026, value: 20 }
		],
		tests: [
			{ date: '2023-10-20', value: 12 },
			{ date: '2026-10-12', value: 18 }
		],
		balanceUnit: 'lb/ac',
		testUnit: 'ppm'
	}) as unknown as {
		yAxis: [{ min: number; max: number }, { min: number; max: number }];
		series: [{ data: { value: unknown[] }[] }, { data: unknown[] }];
	};
	const [bars, line] = drawn.yAxis;
	const height = ({ min, max }: { min: number; max: number }, value: number) => (value - min) / (max - min);
	expect(height(bars, 20)).toBeLessThan(height(line, 12));
	expect(height(bars, -60)).toBeGreaterThan(0.05);
	expect(height(line, 18)).toBeLessThan(0.95);
	expect(drawn.series[0].data.map(({ value }) => value)).toEqual([
		['2024-07-01', -60],
		['2026-07-01', 20]
	]);
});

it('balances are drawn about nought, with a gap where a year has none', () => {
	const lines = [
		{
			nutrient: 'N',
			points: [
				{ year: 2025, value: -40 },
				{ year: 2026, value: undefined }
			]
		},
		{
			nutrient: 'K2O',
			points: [
				{ year: 2025, value: -12 },
				{ year: 2026, value: -18 }
			]
		}
	];
	const drawn = balancesChart(lines, 'lb/ac') as unknown as Drawn;
	expect([drawn.yAxis.min, drawn.yAxis.max]).toEqual([-40, 0]);
	expect(drawn.series.map(({ data }) => data)).toEqual([
		[
			[2025, -40],
			[2026, null]
		],
		[
			[2025, -12],
			[2026, -18]
		]
	]);
	expect(drawn.series.map(({ markLine }) => markLine?.data)).toEqual([[{ yAxis: 0 }], undefined]);
});

it('a trend leaves room around its line, also where nothing changed', () => {
	const points = [
		{ date: '2020-10-01', value: 16 },
		{ date: '2023-10-01', value: 16 }
	];
	const option = trendChart({ unit: 'meq/100 g', points }) as unknown as Drawn;
	expect(option.yAxis.min).toBeLessThan(16);
	expect(option.yAxis.max).toBeGreaterThan(16);
	expect(option.series[0]?.data).toEqual([
		['2020-10-01', 16],
		['2023-10-01', 16]
	]);
});

it('every nutrient has a colour of its own', () => {
	const colors = (['N', 'P2O5', 'K2O', 'S', 'Mg', 'Ca', 'lime', 'B', 'Zn', 'Mn', 'Cu'] as const).map(nutrientColor);
	expect(new Set(colors).size).toBe(11);
});
