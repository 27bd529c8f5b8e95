import { expect, it } from 'vitest';
import type { BoardYear } from '$core/season/live/live-season';
import { dateAt, MARGIN } from '../season/board/time-axis';
import { init } from './as-drawing';
import { nitrogenBase, PLOT, weatherChart } from './board';

const WIDTH = 900;
const axis = { from: '2026-11-01', days: 320 };
const year: BoardYear = {
	axis,
	days: Array.from({ length: 320 }, (_, at) => ({
		date: dateAt(axis, MARGIN.left + (at / 320) * (WIDTH - 2 * MARGIN.left), WIDTH),
		minC: 5,
		maxC: 25,
		rainMm: 20,
		soilC: 20
	})),
	stages: [],
	harvest: undefined,
	capacity: Array.from({ length: 321 }, () => 1234.5)
};

it.each([
	['weather', weatherChart(year, 'us'), PLOT.weatherHeight],
	['nitrogen', nitrogenBase(year, 'lb/ac'), PLOT.nitrogenHeight]
] as const)(
	'the plot of %s keeps to the axis on which the passes stand, whatever its labels take',
	(_, option, height) => {
		const chart = init(null, undefined, { renderer: 'svg', ssr: true, width: WIDTH, height });
		chart.setOption(option);
		const x = (day: number) => Number(chart.convertToPixel({ xAxisIndex: 0 }, day));
		// Bars of rain at the ends take half their width.
		expect(Math.abs(x(0) - MARGIN.left)).toBeLessThan(1.5);
		expect(Math.abs(x(axis.days) - (WIDTH - MARGIN.right))).toBeLessThan(1.5);
		chart.dispose();
	}
);
