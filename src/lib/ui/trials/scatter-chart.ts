import type { EChartsCoreOption } from 'echarts/core';
import { axis, look, roundEnds, text } from '../charts/look';

/** A point of a scatter chart; its label stands beside it. */
export interface ScatterPoint {
	x: number;
	y: number;
	label?: string | undefined;
	/** Which of several kinds it is of, from 0: they differ in shape and colour. */
	kind?: number;
}

interface ScatterLook {
	/** What the axes count. */
	x: string;
	y: string;
	/** Drawn through the points, each from one end to the other. */
	lines?: readonly (readonly [from: readonly [number, number], to: readonly [number, number]])[];
	/** The axis that is marked at zero. */
	zero?: 'x' | 'y' | 'both';
	/** Where labels stand; beside their points, towards the middle, where left out. */
	labels?: 'top';
	/** As far above zero as below it. */
	evenY?: boolean;
}

const KINDS = [
	{ symbol: 'circle', color: look.action },
	{ symbol: 'triangle', color: look.stop },
	{ symbol: 'rect', color: '#1f7391' },
	{ symbol: 'diamond', color: look.accent },
	{ symbol: 'pin', color: '#4b3f94' }
] as const;

/** What points of one kind are drawn as, also for a list beside the chart. */
export function kindLook(kind: number): (typeof KINDS)[number] {
	return KINDS[kind % KINDS.length]!;
}

/** Points of one or several kinds, with lines through them and the zero marked. */
export function scatterChart(
	points: readonly ScatterPoint[],
	{ x, y, lines = [], zero, labels, evenY = false }: ScatterLook
): EChartsCoreOption {
	const zeroX = zero === 'x' || zero === 'both' ? [0] : [];
	const zeroY = zero === 'y' || zero === 'both' ? [0] : [];
	const across = roundEnds([...zeroX, ...points.map((one) => one.x)]);
	const up = roundEnds([...zeroY, ...points.flatMap((one) => (evenY ? [one.y, -one.y] : [one.y]))]);
	const middle = (across.min + across.max) / 2;
	const marks = [
		...zeroX.map(() => [
			[0, up.min],
			[0, up.max]
		]),
		...zeroY.map(() => [
			[across.min, 0],
			[across.max, 0]
		])
	];
	const line = (data: readonly (readonly number[])[], width: number, type: 'solid' | 'dashed') => ({
		type: 'line',
		data,
		symbol: 'none',
		lineStyle: { color: look.inkSoft, width, type }
	});
	return {
		animation: false,
		grid: { left: 66, right: 18, top: 18, bottom: 44 },
		xAxis: {
			...axis(x, across.min, across.max, across.step),
			axisLine: { onZero: false },
			splitLine: { show: false }
		},
		yAxis: { ...axis(y, up.min, up.max, up.step), nameGap: 46, axisLine: { onZero: false } },
		series: [
			...marks.map((mark) => line(mark, 1.5, 'solid')),
			...lines.map((one) => line(one, 2, 'dashed')),
			{
				type: 'scatter',
				data: points.map((one) => {
					const { symbol, color } = kindLook(one.kind ?? 0);
					return {
						value: [one.x, one.y],
						symbol,
						symbolSize: 9,
						itemStyle: { color, opacity: 0.75 },
						...(one.label === undefined
							? {}
							: { label: text(one.label, look.ink, labels ?? (one.x < middle ? 'right' : 'left')) })
					};
				})
			}
		]
	};
}
