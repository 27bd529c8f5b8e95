import type { EChartsCoreOption } from 'echarts/core';
import type { TrialResidual } from '$core/schema-types';
import { treatmentOf } from '$core/trials/analysis/plots';
import { axis, look, roundEnds, text } from '../charts/look';

/** Beyond so many standard deviations a plot is named: one in twenty by chance. */
const NAMED_BEYOND = 2;

/** What each plot leaves over against what was expected of it; those far off with block and treatment. */
export function residualChart(residuals: readonly TrialResidual[], unit: string): EChartsCoreOption {
	const sd = Math.sqrt(residuals.reduce((sum, { residual }) => sum + residual ** 2, 0) / residuals.length);
	const x = roundEnds(residuals.map(({ expected }) => expected));
	const y = roundEnds(residuals.flatMap(({ residual }) => [residual, -residual]));
	const middle = (x.min + x.max) / 2;
	return {
		animation: false,
		grid: { left: 62, right: 18, top: 18, bottom: 44 },
		xAxis: {
			...axis(`expected, ${unit}`, x.min, x.max, x.step),
			axisLine: { onZero: false },
			splitLine: { show: false }
		},
		yAxis: { ...axis(`left over, ${unit}`, y.min, y.max, y.step), nameGap: 44 },
		series: [
			{
				type: 'line',
				data: [
					[x.min, 0],
					[x.max, 0]
				],
				symbol: 'none',
				lineStyle: { color: look.inkSoft, width: 1.5 }
			},
			{
				type: 'scatter',
				symbolSize: 8,
				itemStyle: { color: look.action, opacity: 0.7 },
				data: residuals.map(({ block, levels, expected, residual }) => ({
					value: [expected, residual],
					...(Math.abs(residual) > NAMED_BEYOND * sd
						? {
								label: text(
									`block ${block}, ${treatmentOf({ levels })}`,
									look.ink,
									expected < middle ? 'right' : 'left'
								)
							}
						: {})
				}))
			}
		]
	};
}
