/** The charts' share of the look in src/app.css; ECharts draws with literal colours. */
export const look = {
	ink: '#1c231e',
	inkSoft: '#555c54',
	rule: '#d9d5c7',
	action: '#1f5f4a',
	accent: '#a9720f',
	accentInk: '#7d540a',
	accentWash: '#efe6cf',
	stop: '#8f2a20',
	font: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif"
} satisfies Record<string, string>;

/** A value axis in our look. */
export function axis(name: string, min: number, max: number, interval?: number) {
	return {
		type: 'value',
		name,
		nameLocation: 'middle',
		nameGap: 28,
		nameTextStyle: { color: look.inkSoft, fontFamily: look.font, fontSize: 13 },
		min,
		max,
		...(interval === undefined ? {} : { interval }),
		axisLine: { show: true, lineStyle: { color: look.inkSoft } },
		axisTick: { show: true },
		splitLine: { lineStyle: { color: look.rule } },
		axisLabel: { color: look.inkSoft, fontFamily: look.font, fontSize: 12, hideOverlap: true }
	};
}

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** An axis of days that is labelled by year, in our look. */
export function yearAxis(lineColor: string) {
	return {
		type: 'time',
		minInterval: YEAR_MS,
		axisLine: { lineStyle: { color: lineColor } },
		axisTick: { show: false },
		splitLine: { show: false },
		axisLabel: {
			color: look.inkSoft,
			fontFamily: look.font,
			fontSize: 12,
			hideOverlap: true,
			formatter: (time: number) => String(new Date(time).getUTCFullYear())
		}
	};
}

/** A label in our look. */
export function text(formatter: string, color: string, position: string) {
	return { show: true, formatter, color, position, fontFamily: look.font, fontSize: 13, fontWeight: 600 };
}

/** Axis ends around values, on whole steps of 1, 2 or 5 times a power of ten. */
export function roundEnds(values: readonly number[]): { min: number; max: number; step: number } {
	const [low, high] = [Math.min(...values), Math.max(...values)];
	const rough = Math.max(high - low, 1e-9) / 5;
	const power = 10 ** Math.floor(Math.log10(rough));
	const step = [1, 2, 5, 10].find((times) => times * power >= rough)! * power;
	return { min: Math.floor(low / step) * step, max: Math.ceil(high / step) * step, step };
}
