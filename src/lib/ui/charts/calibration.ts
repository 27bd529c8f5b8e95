import type { EChartsCoreOption } from 'echarts/core';
import type { CalibrateAnswer, CalibrateRequest } from '$core/schema-types';
import { axis, look, roundEnds, text } from './look';

/** Letters of lines that are closer than this share of the axis stand one above the other. */
const APART = 0.04;
const LABEL_PX = { usual: 5, above: 20 };

/** Told apart by dash and by the letter at its top. */
const DASHES = ['solid', 'dashed', 'dotted', [8, 3, 2, 3], [2, 6]] as const;

/** Sites by their test, with the critical value of each way of reading as an upright line. */
export function calibrationChart(
	sites: CalibrateRequest['observations'],
	fits: CalibrateAnswer['fits'],
	letters: readonly string[],
	unit: string
): EChartsCoreOption {
	const x = roundEnds([0, ...sites.map(({ soilTest }) => soilTest)]);
	const y = roundEnds([...sites.map(({ relativeYield }) => relativeYield), 100]);
	const sorted = fits
		.flatMap(({ critical }, at) => (critical === null ? [] : [{ at, critical }]))
		.sort((a, b) => a.critical - b.critical);
	const raised: Record<number, boolean> = {};
	sorted.forEach(({ at, critical }, order) => {
		const before = sorted[order - 1];
		raised[at] = before !== undefined && !raised[before.at] && critical - before.critical < APART * (x.max - x.min);
	});
	const labelOf = (at: number) => ({
		...text(letters[at]!, look.ink, 'top'),
		distance: raised[at] ? LABEL_PX.above : LABEL_PX.usual
	});
	return {
		animation: false,
		grid: { left: 62, right: 18, top: 40, bottom: 44 },
		xAxis: { ...axis(`test, ${unit}`, x.min, x.max, x.step), splitLine: { show: false } },
		yAxis: { ...axis('relative yield, %', y.min, y.max, y.step), nameGap: 40 },
		series: [
			{
				type: 'scatter',
				data: sites.map(({ soilTest, relativeYield }) => [soilTest, relativeYield]),
				symbolSize: 9,
				itemStyle: { color: look.inkSoft }
			},
			...fits.flatMap(({ critical }, at) =>
				critical === null
					? []
					: [
							{
								type: 'line',
								data: [[critical, y.min], { value: [critical, y.max], label: labelOf(at) }],
								symbol: 'circle',
								symbolSize: 0.1,
								lineStyle: { color: look.action, width: 1.8, type: DASHES[at % DASHES.length] }
							}
						]
			)
		]
	};
}
