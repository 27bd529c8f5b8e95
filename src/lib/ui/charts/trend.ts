import type { EChartsCoreOption } from 'echarts/core';
import type { Trend } from '$core/reading/soil/trends';
import { formatNumber } from '$core/units/display';
import { look, yearAxis } from './look';

/** One analyte over the years: a small chart without a grid, each value written at its point. */
export function trendChart({ points, unit }: Pick<Trend, 'points' | 'unit'>): EChartsCoreOption {
	const values = points.map(({ value }) => value);
	const room = Math.max((Math.max(...values) - Math.min(...values)) * 0.6, Math.max(...values) * 0.08);
	return {
		animation: false,
		grid: { left: 26, right: 30, top: 26, bottom: 24 },
		xAxis: yearAxis(look.rule),
		yAxis: { type: 'value', show: false, min: Math.min(...values) - room, max: Math.max(...values) + room },
		series: [
			{
				type: 'line',
				data: points.map(({ date, value }) => [date, value]),
				symbol: 'circle',
				symbolSize: 7,
				itemStyle: { color: look.action },
				lineStyle: { color: look.action, width: 2 },
				label: {
					show: true,
					position: 'top',
					formatter: ({ value }: { value: [string, number] }) => formatNumber(value[1], unit),
					color: look.ink,
					fontFamily: look.font,
					fontSize: 12
				}
			}
		]
	};
}
