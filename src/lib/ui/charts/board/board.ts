import type { EChartsCoreOption } from 'echarts/core';
import type { RunAnswer } from '$core/season/model/run-season';
import { DAY_MS, KG_HA_PER_LB_AC } from '$core/units/factors';
import { rainIn, warmthIn } from '$core/units/weather-units';
import type { UnitSystem } from '$core/units/rate-units';
import type { BoardYear } from '$core/season/live/live-season';
import { MARGIN } from '../../season/board/time-axis';
import { axis, look, roundEnds, text } from '../look';
import { COLD_SOIL_C } from '$core/season/plan/usual-values';

/** Where the plots stand in their charts, and how high these are, pixels. */
export const PLOT = {
	weather: { top: 12, height: 78 },
	weatherHeight: 98,
	nitrogen: { top: 24, height: 196 },
	nitrogenHeight: 230
} as const;

/** Days, stages and passes stand over the plots by `xOf`: labels must not push these off their axis. */
const ON_THE_AXIS = { ...MARGIN, outerBoundsMode: 'none' } as const;
const NITROGEN = '#4b3f94';
const WATER = '#9db3c1';
/** A curve without steps is drawn by every so many days. */
const SMOOTH_DAYS = 3;

/** Soil temperature and rain of the year that is shown: nothing of it moves with a pass. */
export function weatherChart({ axis: time, days }: BoardYear, units: UnitSystem): EChartsCoreOption {
	const x = (date: string) => (Date.parse(date) - Date.parse(time.from)) / DAY_MS;
	const warm = (celsius: number) => warmthIn(units, celsius);
	const water = (mm: number) => rainIn(units, mm);
	const shown = days.filter(({ date }) => date >= time.from);
	const soil = roundEnds(shown.map(({ soilC }) => warm(soilC)));
	const rain = roundEnds([0, ...shown.map(({ rainMm }) => water(rainMm))]);
	const scale = (name: string, ends: typeof soil, position: 'left' | 'right') => ({
		...axis(name, ends.min, ends.max, (ends.max - ends.min) / 2),
		position,
		nameGap: 38,
		splitLine: { show: false }
	});
	return {
		animation: false,
		grid: { ...PLOT.weather, ...ON_THE_AXIS },
		xAxis: { type: 'value', min: 0, max: time.days, show: false },
		yAxis: [
			scale(units === 'us' ? 'soil, F' : 'soil, C', soil, 'left'),
			scale(units === 'us' ? 'rain, in' : 'rain, mm', rain, 'right')
		],
		series: [
			{
				type: 'bar',
				yAxisIndex: 1,
				data: shown.filter(({ rainMm }) => rainMm > 0).map(({ date, rainMm }) => [x(date), water(rainMm)]),
				barWidth: 2,
				itemStyle: { color: WATER }
			},
			{
				type: 'line',
				data: shown.map(({ date, soilC }) => [x(date), warm(soilC)]),
				symbol: 'none',
				lineStyle: { color: look.accent, width: 2 },
				markLine: {
					silent: true,
					symbol: 'none',
					data: [
						{
							yAxis: warm(COLD_SOIL_C),
							lineStyle: { color: look.accent, type: 'dotted', width: 1 },
							label: { ...text(units === 'us' ? '50 F' : '10 C', look.accentInk, 'insideMiddleTop'), fontSize: 11 }
						}
					]
				}
			}
		]
	};
}

/** What stands still in the chart of nitrogen while a pass is moved. */
export function nitrogenBase({ axis: time, capacity }: BoardYear, unit: RunAnswer['unit']): EChartsCoreOption {
	const line = (id: string, lineStyle: object, more: object = {}) => ({
		id,
		type: 'line',
		symbol: 'none',
		silent: true,
		data: [],
		lineStyle,
		...more
	});
	const label = {
		...text('N the soil can hold', look.stop, 'top'),
		show: true,
		align: 'left',
		offset: [8, 0],
		fontSize: 11
	};
	const holds = capacity?.map((pounds, day) => [day, inUnit(pounds, unit)]) ?? [];
	return {
		animation: false,
		grid: { ...PLOT.nitrogen, ...ON_THE_AXIS },
		xAxis: { type: 'value', min: 0, max: time.days, show: false },
		yAxis: { ...axis(`N, ${unit}`, 0, 100), nameGap: 38 },
		series: [
			line('wanted', { color: look.action, width: 1 }, { areaStyle: { color: look.action, opacity: 0.13 } }),
			line('taken', { color: look.action, width: 2.5 }),
			line('ground', { color: NITROGEN, width: 2.5 }),
			line(
				'holds',
				{ color: look.stop, type: 'dashed', width: 1.3 },
				{
					data: holds,
					markPoint: { symbol: 'circle', symbolSize: 0.1, data: holds.slice(0, 1).map((coord) => ({ coord, label })) }
				}
			)
		]
	};
}

/** What follows a pass that is moved: nitrogen in the ground, wanted and taken up. */
export function nitrogenLive({ axis: time, capacity = [] }: BoardYear, { days, unit }: RunAnswer): EChartsCoreOption {
	const from = Date.parse(time.from);
	const shown = days.filter(({ date }) => date >= time.from);
	const start = shown[0] ? (Date.parse(shown[0].date) - from) / DAY_MS : 0;
	const ends = roundEnds([
		0,
		...capacity.map((pounds) => inUnit(pounds, unit)),
		...shown.flatMap(({ inGround, wanted }) => [inGround, wanted])
	]);
	const points = (of: (day: (typeof days)[number]) => number, every = 1) =>
		shown.flatMap((day, at) => (at % every === 0 || at === shown.length - 1 ? [[start + at, of(day)]] : []));
	return {
		yAxis: { min: ends.min, max: ends.max, interval: ends.step },
		series: [
			{ id: 'wanted', data: points(({ wanted }) => wanted, SMOOTH_DAYS) },
			{ id: 'taken', data: points(({ takenUp }) => takenUp, SMOOTH_DAYS) },
			{ id: 'ground', data: points(({ inGround }) => inGround) }
		]
	};
}

function inUnit(pounds: number, unit: RunAnswer['unit']): number {
	return unit === 'kg/ha' ? pounds * KG_HA_PER_LB_AC : pounds;
}
