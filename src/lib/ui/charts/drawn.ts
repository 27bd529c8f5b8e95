import type { EChartsCoreOption } from 'echarts/core';
import { init } from './as-drawing';

/** A chart as the text of an SVG, where there is no page to draw it on. Sizes in pixels; `live` is merged into the option. */
export function drawn(
	option: EChartsCoreOption,
	size: { width: number; height: number },
	live?: EChartsCoreOption
): string {
	const chart = init(null, undefined, { renderer: 'svg', ssr: true, ...size });
	try {
		chart.setOption(option);
		if (live) chart.setOption(live);
		return chart.renderToSVGString();
	} finally {
		chart.dispose();
	}
}
