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
		axisLabel: { color: look.inkSoft, fontFamily: look.font, fontSize: 12 }
	};
}

/** A label in our look. */
export function text(formatter: string, color: string, position: string) {
	return { show: true, formatter, color, position, fontFamily: look.font, fontSize: 13, fontWeight: 600 };
}
