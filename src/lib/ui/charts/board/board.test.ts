import { describe, expect, it } from 'vitest';
import type { BoardYear } from '$core/season/live/live-season';
import type { RunAnswer } from '$core/season/model/run-season';
import { dateAt, MARGIN } from '../../season/board/time-axis';
import { init } from '../as-drawing';
import { nitrogenBase, PLOT, weatherChart } from './board';
import { drawnPlots } from './drawn-plots';

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

describe('plots drawn by the server', () => {
	const run = {
		unit: 'lb/ac',
		days: year.days.map(({ date }, at) => ({ date, inGround: at === 200 ? 2400 : 40, wanted: 10, takenUp: 5 }))
	} as unknown as RunAnswer;
	const size = (svg: string) => /<svg width="(\d+)" height="(\d+)"/.exec(svg)?.slice(1).map(Number);

	it('are as wide as asked, with the scale that the curves of this run want', () => {
		const { weather, nitrogen } = drawnPlots({ year, run, units: 'us', width: WIDTH });
		expect([size(weather), size(nitrogen!)]).toEqual([
			[WIDTH, PLOT.weatherHeight],
			[WIDTH, PLOT.nitrogenHeight]
		]);
		expect(nitrogen).toContain('>2,500</text>');
		expect(nitrogen).toContain('>N the soil can hold</text>');
		expect(weather).toContain('>soil, F</text>');
	});

	it('have no nitrogen where the crop has none known', () => {
		expect(drawnPlots({ year, run: undefined, units: 'metric', width: WIDTH })).toEqual({
			weather: expect.stringContaining('>soil, C</text>') as unknown
		});
	});

	it('draw no rain on days without any', () => {
		const bars = (svg: string) => svg.split('#9db3c1').length - 1;
		const dry = { ...year, days: year.days.map((day, at) => ({ ...day, rainMm: at % 32 === 0 ? 20 : 0 })) };
		const of = (shown: BoardYear) =>
			bars(drawnPlots({ year: shown, run: undefined, units: 'us', width: WIDTH }).weather);
		expect([of(year), of(dry)]).toEqual([320, 10]);
	});
});
