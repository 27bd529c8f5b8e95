import type { EChartsCoreOption } from 'echarts/core';
import { axis, look, text } from './look';

interface PhStrip {
	/** [pH, relative yield in %]; empty where the crop has no table. */
	points: [number, number][];
	band: { low: number; high: number } | undefined;
	soilPh: number;
	target: number | undefined;
}

const LOW = 4.5;
const HIGH = 8;

/** The pH scale with the crop's band, the soil's place on it, and what the crop yields along it. */
export function phStrip({ points, band, soilPh, target }: PhStrip): EChartsCoreOption {
	const here = {
		xAxis: soilPh,
		lineStyle: { color: look.accent, width: 3, type: 'solid' },
		label: text(`this soil ${soilPh.toFixed(1)}`, look.accentInk, 'end')
	};
	const aim =
		target === undefined || Math.abs(target - soilPh) < 0.05
			? []
			: [{ coord: [target, 0], label: text(`target ${target.toFixed(1)}`, look.action, 'right') }];
	return {
		animation: false,
		grid: { left: 56, right: 24, top: 28, bottom: 44 },
		xAxis: {
			...axis(band ? `pH in water; shaded: preferred, ${band.low} to ${band.high}` : 'pH in water', LOW, HIGH, 0.5),
			splitLine: { show: false }
		},
		yAxis: { ...axis('yield, % of full', 0, 100, 25), nameGap: 38 },
		series: [
			{
				type: 'line',
				data: points.filter(([ph]) => ph >= LOW && ph <= HIGH),
				showSymbol: false,
				lineStyle: { color: look.ink, width: 2 },
				markLine: { symbol: 'none', silent: true, data: [here] },
				markPoint: {
					symbol: 'triangle',
					symbolSize: 12,
					symbolOffset: [0, -6],
					itemStyle: { color: look.action },
					data: aim
				},
				markArea: band && {
					silent: true,
					itemStyle: { color: look.accentWash },
					data: [[{ xAxis: band.low }, { xAxis: band.high }]]
				}
			}
		]
	};
}
