import type { EChartsCoreOption } from 'echarts/core';
import type { ProfileLayer } from '$core/reading/soil/acid-layers';
import { axis, look } from './look';

interface ProfileChart {
	layers: readonly ProfileLayer[];
	/** pH below which ground is acid on this scale, and below which aluminium is likely. */
	lines: { acid: number; aluminium: number };
	scaleName: string;
	unit: 'in' | 'cm';
	perInch: number;
}

/** pH by depth, the surface at the top, acid ground shaded. */
export function profileChart({ layers, lines, scaleName, unit, perInch }: ProfileChart): EChartsCoreOption {
	const bottom = Math.max(...layers.map(({ bottomIn }) => bottomIn)) * perInch;
	const low = Math.min(4, Math.floor(Math.min(...layers.map(({ ph }) => ph))));
	const high = Math.max(7, Math.ceil(Math.max(...layers.map(({ ph }) => ph))));
	const steps = layers.flatMap(({ topIn, bottomIn, ph }) => [
		[ph, topIn * perInch],
		[ph, bottomIn * perInch]
	]);
	const label = (formatter: string) => ({
		show: true,
		formatter,
		position: 'insideBottom',
		color: look.stop,
		fontFamily: look.font,
		fontSize: 12
	});
	return {
		animation: false,
		grid: { left: 58, right: 20, top: 34, bottom: 12 },
		xAxis: {
			...axis(`pH in ${scaleName}`, low, high, 0.5),
			position: 'top',
			nameGap: 22,
			splitLine: { show: false }
		},
		yAxis: { ...axis(`depth, ${unit}`, 0, bottom), inverse: true, nameGap: 36 },
		series: [
			{
				type: 'line',
				data: steps,
				showSymbol: false,
				lineStyle: { color: look.ink, width: 2.5 },
				markArea: {
					silent: true,
					data: [
						[
							{
								xAxis: low,
								itemStyle: { color: 'rgba(143, 42, 32, 0.16)' },
								label: label('aluminium')
							},
							{ xAxis: lines.aluminium }
						],
						[
							{
								xAxis: lines.aluminium,
								itemStyle: { color: 'rgba(143, 42, 32, 0.07)' },
								label: label('acid')
							},
							{ xAxis: lines.acid }
						]
					]
				},
				markPoint: {
					silent: true,
					symbol: 'circle',
					symbolSize: 9,
					data: layers.map(({ ph, topIn, bottomIn, acid }) => ({
						coord: [ph, ((topIn + bottomIn) / 2) * perInch],
						itemStyle: { color: acid ? look.stop : look.action },
						label: {
							show: true,
							formatter: ph.toFixed(1),
							position: 'right',
							color: acid ? look.stop : look.action,
							fontFamily: look.font,
							fontSize: 13,
							fontWeight: 650
						}
					}))
				}
			}
		]
	};
}
