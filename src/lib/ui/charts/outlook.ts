import type { EChartsCoreOption } from 'echarts/core';
import { axis, look } from './look';

/** One school's soil test over the years, from now on. */
export interface OutlookLine {
	name: string;
	/** ppm now and after each year. */
	tests: number[];
}

/** Told apart by dash and mark as well as by colour. */
const LINES = [
	{ color: '#1f5f4a', type: 'solid', symbol: 'circle' },
	{ color: '#b2521a', type: 'dashed', symbol: 'rect' },
	{ color: '#4b3f94', type: 'solid', symbol: 'triangle' },
	{ color: '#1f7391', type: 'dotted', symbol: 'diamond' },
	{ color: '#9a3f62', type: 'dashed', symbol: 'circle' },
	{ color: '#6b6459', type: 'dotted', symbol: 'rect' }
] as const;

/** The look of the n-th line, for the table beside the chart too. */
export function lineLook(index: number): (typeof LINES)[number] {
	return LINES[index % LINES.length]!;
}

/** Where each approach takes the soil test, year by year. */
export function outlookChart(lines: readonly OutlookLine[], firstYear: number, unit: string): EChartsCoreOption {
	const highest = Math.max(...lines.flatMap(({ tests }) => tests));
	const step = highest > 120 ? 50 : highest > 40 ? 20 : 10;
	const years = Math.max(...lines.map(({ tests }) => tests.length - 1));
	return {
		animation: false,
		grid: { left: 58, right: 24, top: 16, bottom: 44 },
		xAxis: {
			...axis('spring of', firstYear, firstYear + years, 1),
			splitLine: { show: false },
			axisLabel: { color: look.inkSoft, fontFamily: look.font, fontSize: 12, formatter: (year: number) => String(year) }
		},
		yAxis: { ...axis(unit, 0, Math.ceil((highest * 1.05) / step) * step, step), nameGap: 40 },
		series: lines.map(({ name, tests }, index) => {
			const { color, type, symbol } = lineLook(index);
			return {
				type: 'line',
				name,
				data: tests.map((test, year) => [firstYear + year, test]),
				symbol,
				symbolSize: 8,
				itemStyle: { color },
				lineStyle: { color, width: 2.5, type }
			};
		})
	};
}
