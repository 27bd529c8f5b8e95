import type { EChartsCoreOption } from 'echarts/core';
import type { SeasonAnswer } from '$core/schema-types';
import type { UnitSystem } from '$core/units/rate-units';
import { axis, look, roundEnds, text } from './look';

export interface SeasonChart {
	run: SeasonAnswer;
	passes: readonly { date: string; label: string }[];
	plantingDate: string;
	/** What the ground can hold at one time, in the run's unit; undefined where it is not known. */
	limit: number | undefined;
	units: UnitSystem;
}

const NITROGEN = '#4b3f94';
const WATER = '#1f7391';

/** Soil temperature and rain-filled soil above; nitrogen in the ground against what the crop wants below; passes as marks. */
export function seasonChart({ run, passes, plantingDate, limit, units }: SeasonChart): EChartsCoreOption {
	const { days, unit } = run;
	const line = (of: (day: (typeof days)[number]) => number) => days.map((day) => [day.date, of(day)]);
	const warm = (celsius: number) => (units === 'us' ? celsius * 1.8 + 32 : celsius);
	const water = (mm: number) => (units === 'us' ? mm / 25.4 : mm);
	const amounts = [0, limit ?? 0, ...days.flatMap(({ inGround, wanted }) => [inGround, wanted])];
	const ends = roundEnds(amounts);
	const time = (gridIndex: number, shown: boolean) => ({
		type: 'time',
		gridIndex,
		min: days[0]!.date,
		max: days.at(-1)!.date,
		axisLabel: {
			show: shown,
			color: look.inkSoft,
			fontFamily: look.font,
			fontSize: 12,
			formatter: '{d} {MMM}',
			hideOverlap: true
		},
		axisLine: { lineStyle: { color: look.inkSoft } },
		splitLine: { show: false }
	});
	const free = (name: string, gridIndex: number, position: 'left' | 'right') => ({
		...axis(name, 0, 0),
		min: undefined,
		max: undefined,
		scale: true,
		splitNumber: 2,
		gridIndex,
		position,
		nameGap: 42,
		...(position === 'right' ? { splitLine: { show: false } } : {})
	});
	return {
		animation: false,
		grid: [
			{ left: 62, right: 66, top: 14, height: 84 },
			{ left: 62, right: 66, top: 128, height: 200 }
		],
		xAxis: [time(0, false), time(1, true)],
		yAxis: [
			free(units === 'us' ? 'soil, F' : 'soil, C', 0, 'left'),
			free(units === 'us' ? 'water, in' : 'water, mm', 0, 'right'),
			{ ...axis(`N, ${unit}`, ends.min, ends.max, ends.step), gridIndex: 1, nameGap: 42 }
		],
		series: [
			{
				type: 'line',
				name: 'soil temperature',
				data: line(({ soilC }) => warm(soilC)),
				symbol: 'none',
				lineStyle: { color: look.accent, width: 2 }
			},
			{
				type: 'line',
				name: 'water in the top foot',
				yAxisIndex: 1,
				data: line(({ waterMm }) => water(waterMm)),
				symbol: 'none',
				lineStyle: { color: WATER, width: 1.5 },
				areaStyle: { color: WATER, opacity: 0.08, origin: 'start' }
			},
			{
				type: 'line',
				name: 'in the ground',
				xAxisIndex: 1,
				yAxisIndex: 2,
				data: line(({ inGround }) => inGround),
				symbol: 'none',
				lineStyle: { color: NITROGEN, width: 2.5 },
				areaStyle: { color: NITROGEN, opacity: 0.1 },
				markLine: { silent: true, symbol: 'none', data: marks(passes, plantingDate, limit) }
			},
			{
				type: 'line',
				name: 'wanted by the crop',
				xAxisIndex: 1,
				yAxisIndex: 2,
				data: line(({ wanted }) => wanted),
				symbol: 'none',
				lineStyle: { color: look.ink, width: 2, type: 'dashed' }
			},
			{
				type: 'line',
				name: 'taken up',
				xAxisIndex: 1,
				yAxisIndex: 2,
				data: line(({ takenUp }) => takenUp),
				symbol: 'none',
				lineStyle: { color: look.action, width: 2.5 }
			}
		]
	};
}

function marks(passes: SeasonChart['passes'], plantingDate: string, limit: number | undefined) {
	const dated = passes.map(({ date, label }) => ({
		xAxis: date,
		lineStyle: { color: NITROGEN, type: 'solid', width: 1.5 },
		label: { ...text(label, NITROGEN, 'insideEndTop'), fontSize: 11 }
	}));
	const planting = {
		xAxis: plantingDate,
		lineStyle: { color: look.inkSoft, type: 'dotted' },
		label: { ...text('planting', look.inkSoft, 'insideStartTop'), fontSize: 11 }
	};
	if (limit === undefined) return [planting, ...dated];
	const holds = {
		yAxis: limit,
		lineStyle: { color: look.stop, type: 'dashed' },
		label: { ...text('the ground holds', look.stop, 'insideEndTop'), fontSize: 11 }
	};
	return [planting, ...dated, holds];
}
