import type { EChartsCoreOption } from 'echarts/core';
import { axis, look, roundEnds } from './look';
import { lineLook } from './outlook';

/** The balance of one nutrient over the years; a year without one is a gap. */
export interface BalanceLine {
	nutrient: string;
	points: readonly { year: number; value: number | undefined }[];
}

/** What went on less what came off, year by year, a line for each nutrient about the line of nought. */
export function balancesChart(lines: readonly BalanceLine[], unit: string): EChartsCoreOption {
	const points = lines.flatMap((line) => line.points);
	const { min, max, step } = roundEnds([0, ...points.flatMap(({ value }) => value ?? [])]);
	const shown = points.map(({ year }) => year);
	const years = axis('', Math.min(...shown), Math.max(...shown), 1);
	return {
		animation: false,
		grid: { left: 62, right: 24, top: 12, bottom: 28 },
		xAxis: {
			...years,
			splitLine: { show: false },
			axisLabel: { ...years.axisLabel, formatter: (year: number) => String(year) }
		},
		yAxis: { ...axis(unit, min, max, step), nameGap: 44 },
		series: lines.map(({ points: own }, at) => {
			const { color, type, symbol } = lineLook(at);
			return {
				type: 'line',
				data: own.map(({ year, value }) => [year, value ?? null]),
				connectNulls: false,
				symbol,
				symbolSize: 8,
				itemStyle: { color },
				lineStyle: { color, width: 2.5, type },
				...(at === 0
					? {
							markLine: {
								silent: true,
								symbol: 'none',
								label: { show: false },
								lineStyle: { color: look.inkSoft, type: 'solid', width: 1 },
								data: [{ yAxis: 0 }]
							}
						}
					: {})
			};
		})
	};
}
