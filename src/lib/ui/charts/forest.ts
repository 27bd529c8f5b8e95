import type { EChartsCoreOption } from 'echarts/core';
import type { PoolAnswer, PoolRequest } from '$core/schema-types';
import { axis, look, roundEnds } from './look';

/** Two-sided 95 % of a normal curve: what a site's bar shows of its own error. */
const Z = 1.96;

/** The effect at each site with its own error, and all of them as one below. */
export function forestChart(
	effects: PoolRequest['effects'],
	{ effect, low, high }: PoolAnswer,
	unit: string
): EChartsCoreOption {
	const rows = [
		{ name: 'all together', effect, low, high },
		...effects.map((one) => ({
			name: one.site,
			effect: one.effect,
			low: one.effect - Z * one.se,
			high: one.effect + Z * one.se
		}))
	];
	const ends = roundEnds([0, ...rows.flatMap((row) => [row.low, row.high])]);
	return {
		animation: false,
		grid: { left: 190, right: 24, top: 10, bottom: 44 },
		xAxis: axis(`difference, ${unit}`, ends.min, ends.max, ends.step),
		yAxis: {
			type: 'category',
			data: rows.map(({ name }) => name),
			axisTick: { show: false },
			axisLine: { show: false },
			axisLabel: { color: look.ink, fontFamily: look.font, fontSize: 13, width: 180, overflow: 'truncate' }
		},
		series: [
			...rows.map(({ low: from, high: to }, at) => ({
				type: 'line',
				data: [
					[from, at],
					[to, at]
				],
				symbol: 'none',
				lineStyle: { color: look.inkSoft, width: at === 0 ? 3 : 1.5 }
			})),
			{
				type: 'scatter',
				data: rows.map((row, at) => [row.effect, at]),
				symbol: (_: unknown, { dataIndex }: { dataIndex: number }) => (dataIndex === 0 ? 'diamond' : 'rect'),
				symbolSize: (_: unknown, { dataIndex }: { dataIndex: number }) => (dataIndex === 0 ? 16 : 10),
				itemStyle: { color: look.ink }
			},
			{
				type: 'line',
				data: [
					[0, 0],
					[0, rows.length - 1]
				],
				symbol: 'none',
				lineStyle: { color: look.ink, width: 1, type: 'dashed' }
			}
		]
	};
}
