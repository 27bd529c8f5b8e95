import type { EChartsCoreOption } from 'echarts/core';
import type { RunAnswer } from '$core/season/run-season';
import type { UnitSystem } from '$core/units/rate-units';
import type { BoardYear } from '../board/live-season';
import { MARGIN } from '../board/time-axis';
import { axis, look, roundEnds, text } from './look';

/** Where the two parts of the chart stand, pixels from its top. */
export const PLOT = {
	weather: { top: 12, height: 78 },
	nitrogen: { top: 122, height: 196 },
	height: 326
} as const;

const NITROGEN = '#4b3f94';
const WATER = '#9db3c1';
const COLD_C = 10;
const MM_PER_IN = 25.4;
const DAY_MS = 86_400_000;

/** What stands still while a pass is moved: scales, soil temperature and rain. */
export function boardBase(
	{ axis: time, days }: BoardYear,
	unit: RunAnswer['unit'],
	limit: number | undefined,
	units: UnitSystem
): EChartsCoreOption {
	const x = (date: string) => (Date.parse(date) - Date.parse(time.from)) / DAY_MS;
	const warm = (celsius: number) => (units === 'us' ? celsius * 1.8 + 32 : celsius);
	const water = (mm: number) => (units === 'us' ? mm / MM_PER_IN : mm);
	const shown = days.filter(({ date }) => date >= time.from);
	const soil = roundEnds(shown.map(({ soilC }) => warm(soilC)));
	const rain = roundEnds([0, ...shown.map(({ rainMm }) => water(rainMm))]);
	const span = (gridIndex: number) => ({ type: 'value', gridIndex, min: 0, max: time.days, show: false });
	const scale = (name: string, ends: typeof soil, position: 'left' | 'right') => ({
		...axis(name, ends.min, ends.max, (ends.max - ends.min) / 2),
		gridIndex: 0,
		position,
		nameGap: 38,
		splitLine: { show: false }
	});
	const line = (id: string, style: object, more: object = {}) => ({
		id,
		type: 'line',
		xAxisIndex: 1,
		yAxisIndex: 2,
		symbol: 'none',
		data: [],
		lineStyle: style,
		...more
	});
	return {
		animation: false,
		grid: [
			{ ...PLOT.weather, ...MARGIN },
			{ ...PLOT.nitrogen, ...MARGIN }
		],
		xAxis: [span(0), span(1)],
		yAxis: [
			scale(units === 'us' ? 'soil, F' : 'soil, C', soil, 'left'),
			scale(units === 'us' ? 'rain, in' : 'rain, mm', rain, 'right'),
			{ ...axis(`N, ${unit}`, 0, 100), gridIndex: 1, nameGap: 38 }
		],
		series: [
			{
				id: 'rain',
				type: 'bar',
				yAxisIndex: 1,
				data: shown.map(({ date, rainMm }) => [x(date), water(rainMm)]),
				barWidth: 2,
				itemStyle: { color: WATER }
			},
			{
				id: 'soil',
				type: 'line',
				data: shown.map(({ date, soilC }) => [x(date), warm(soilC)]),
				symbol: 'none',
				lineStyle: { color: look.accent, width: 2 },
				markLine: {
					silent: true,
					symbol: 'none',
					data: [
						{
							yAxis: warm(COLD_C),
							lineStyle: { color: look.accent, type: 'dotted', width: 1 },
							label: { ...text(units === 'us' ? '50 F' : '10 C', look.accentInk, 'insideStartTop'), fontSize: 11 }
						}
					]
				}
			},
			line('wanted', { color: look.action, width: 1 }, { areaStyle: { color: look.action, opacity: 0.13 } }),
			line('taken', { color: look.action, width: 2.5 }),
			line(
				'ground',
				{ color: NITROGEN, width: 2.5 },
				limit === undefined
					? {}
					: {
							markLine: {
								silent: true,
								symbol: 'none',
								data: [
									{
										yAxis: limit,
										lineStyle: { color: look.stop, type: 'dashed', width: 1.3 },
										label: { ...text('the ground holds', look.stop, 'insideStartTop'), fontSize: 11 }
									}
								]
							}
						}
			)
		]
	};
}

/** What follows a pass that is moved: nitrogen in the ground, wanted and taken up. */
export function boardLive(
	{ axis: time }: BoardYear,
	{ days }: RunAnswer,
	limit: number | undefined
): EChartsCoreOption {
	const from = Date.parse(time.from);
	const shown = days.filter(({ date }) => date >= time.from);
	const start = shown[0] ? (Date.parse(shown[0].date) - from) / DAY_MS : 0;
	const ends = roundEnds([0, limit ?? 0, ...shown.flatMap(({ inGround, wanted }) => [inGround, wanted])]);
	const points = (of: (day: (typeof days)[number]) => number) => shown.map((day, at) => [start + at, of(day)]);
	return {
		yAxis: [{}, {}, { min: ends.min, max: ends.max, interval: ends.step }],
		series: [
			{ id: 'wanted', data: points(({ wanted }) => wanted) },
			{ id: 'taken', data: points(({ takenUp }) => takenUp) },
			{ id: 'ground', data: points(({ inGround }) => inGround) }
		]
	};
}
