import type { EChartsCoreOption } from 'echarts/core';
import { axis, look, text } from './look';

interface Curve {
	points: [number, number][];
	soilTest: number;
	yieldHere: number;
	critical: number;
	color: string;
	unit: string;
}

/** Share of the critical level to either side of it that is shaded: a soil test is no finer than that. */
const BAND = 0.1;

/** Yield against soil test, with this soil on the curve and the critical band shaded. */
export function responseCurve({ points, soilTest, yieldHere, critical, color, unit }: Curve): EChartsCoreOption {
	const step = critical > 50 ? 50 : 5;
	const end = Math.floor((points.at(-1)?.[0] ?? critical * 3) / step) * step;
	const nearRight = soilTest > end * 0.7;
	return {
		animation: false,
		grid: { left: 56, right: 24, top: 16, bottom: 44 },
		xAxis: { ...axis(unit, 0, end), splitLine: { show: false } },
		yAxis: { ...axis('yield, % of full', 0, 100, 25), nameGap: 38 },
		series: [
			{
				type: 'line',
				data: points.filter(([test]) => test <= end),
				showSymbol: false,
				lineStyle: { color, width: 2.5 },
				markArea: {
					silent: true,
					itemStyle: { color: look.accentWash },
					label: text('critical', look.accentInk, 'insideBottom'),
					data: [[{ xAxis: critical * (1 - BAND) }, { xAxis: critical * (1 + BAND) }]]
				},
				markPoint: {
					symbol: 'circle',
					symbolSize: 13,
					itemStyle: { color: look.accent, borderColor: '#fff', borderWidth: 2 },
					label: text('this soil', look.accentInk, nearRight ? 'bottom' : soilTest < critical ? 'right' : 'bottom'),
					data: [{ coord: [soilTest, yieldHere] }]
				}
			}
		]
	};
}
