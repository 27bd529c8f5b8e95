import type { EChartsCoreOption } from 'echarts/core';
import { formatNumber } from '$core/units/display';
import { look, yearAxis } from './look';

export interface BalanceAndTest {
	/** In the order of the years; a year whose balance is not known has no bar. */
	balances: readonly { year: number; value: number | undefined }[];
	/** In the order of their days. */
	tests: readonly { date: string; value: number }[];
	balanceUnit: string;
	testUnit: string;
}

/** In the middle of the crop year; a sample stands where its day does. */
const MIDDLE = '-07-01';

/** So much of the chart belongs to the bars below, and to the line above; the rest keeps their labels apart. */
const OWN_SHARE = 0.36;
const EDGE_SHARE = 0.1;

/** The ends of a scale that keep its values in the lower or the upper part of the chart. */
function part(values: readonly number[], where: 'below' | 'above'): { min: number; max: number } {
	const [low, high] = [Math.min(...values), Math.max(...values)];
	const span = Math.max(high - low, Math.abs(high) * 0.05, 1e-9) / OWN_SHARE;
	const near = EDGE_SHARE * span;
	return where === 'below'
		? { min: low - near, max: low - near + span }
		: { min: high + near - span, max: high + near };
}

/** The balance of each year as bars from nought, and above them the soil test as a line, each on a scale of its own. */
export function balanceAndTestChart({ balances, tests, balanceUnit, testUnit }: BalanceAndTest): EChartsCoreOption {
	const known = balances.flatMap(({ year, value }) =>
		value === undefined ? [] : [[`${year}${MIDDLE}`, value] as const]
	);
	const bars = known.map(([, value]) => value);
	const values = tests.map(({ value }) => value);
	const years = [...balances.map(({ year }) => year), ...tests.map(({ date }) => Number(date.slice(0, 4)))];
	const label = { show: true, color: look.ink, fontFamily: look.font, fontSize: 12 };
	return {
		animation: false,
		grid: { left: 12, right: 12, top: 26, bottom: 26 },
		xAxis: {
			...yearAxis(look.inkSoft),
			min: `${Math.min(...years)}-01-01`,
			max: `${Math.max(...years)}-12-31`
		},
		yAxis: [
			{ type: 'value', show: false, ...part([0, ...bars], 'below') },
			{ type: 'value', show: false, ...part(values, 'above') }
		],
		series: [
			{
				id: 'balance',
				type: 'bar',
				name: balanceUnit,
				data: known.map(([date, value]) => ({
					value: [date, value],
					label: { position: value < 0 ? 'bottom' : 'top' }
				})),
				barWidth: 26,
				itemStyle: { color: look.accentWash, borderColor: look.accent, borderWidth: 1 },
				label: {
					...label,
					color: look.accentInk,
					formatter: ({ value }: { value: [string, number] }) => formatNumber(Math.round(value[1]) + 0, balanceUnit)
				},
				markLine: {
					silent: true,
					symbol: 'none',
					label: { show: false },
					lineStyle: { color: look.inkSoft, type: 'solid', width: 1 },
					data: [{ yAxis: 0 }]
				}
			},
			{
				id: 'test',
				type: 'line',
				name: testUnit,
				yAxisIndex: 1,
				z: 3,
				data: tests.map(({ date, value }) => [date, value]),
				symbol: 'circle',
				symbolSize: 9,
				itemStyle: { color: look.action },
				lineStyle: { color: look.action, width: 2 },
				label: {
					...label,
					fontWeight: 600,
					color: look.action,
					position: 'top',
					formatter: ({ value }: { value: [string, number] }) => formatNumber(value[1], testUnit)
				}
			}
		]
	};
}
