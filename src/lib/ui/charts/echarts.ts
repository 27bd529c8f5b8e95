import { BarChart, LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent, MarkPointComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';

use([
	BarChart,
	LineChart,
	ScatterChart,
	GridComponent,
	MarkAreaComponent,
	MarkLineComponent,
	MarkPointComponent,
	CanvasRenderer,
	SVGRenderer
]);

export { init } from 'echarts/core';
