import type { EChartsCoreOption } from 'echarts/core';
import { semivariance, type Variogram, type VariogramBin } from '$core/zones/surface/variogram';
import { axis, look, roundEnds } from './look';

const STEPS = 80;

/** The measured variogram as points, as large as they have pairs, and the model through them. */
export function variogramChart({
	fitted,
	measured
}: {
	fitted: Variogram;
	measured: readonly VariogramBin[];
}): EChartsCoreOption {
	const far = Math.max(...measured.map(({ distanceM }) => distanceM)) * 1.1;
	const curve = Array.from({ length: STEPS + 1 }, (_, at) => {
		const distance = (far * at) / STEPS;
		return [distance, at === 0 ? fitted.nugget : semivariance(fitted, distance)];
	});
	const most = Math.max(...measured.map(({ pairs }) => pairs));
	const y = roundEnds([0, ...measured.map((bin) => bin.semivariance), ...curve.map(([, value]) => value!)]);
	const x = roundEnds([0, far]);
	return {
		animation: false,
		grid: { left: 56, right: 16, top: 12, bottom: 40 },
		xAxis: axis('metres apart', 0, x.max, x.max / 4),
		yAxis: axis('half the squared difference', y.min, y.max, (y.max - y.min) / 4),
		series: [
			{ type: 'line', data: curve, symbol: 'none', lineStyle: { color: look.action, width: 2 } },
			{
				type: 'scatter',
				data: measured.map((bin) => ({
					value: [bin.distanceM, bin.semivariance],
					symbolSize: 4 + 8 * Math.sqrt(bin.pairs / most)
				})),
				itemStyle: { color: look.accent }
			}
		]
	};
}
