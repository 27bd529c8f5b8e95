import { ScatterChart } from 'echarts/charts';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

// Points stand only in charts that do not move.
use([ScatterChart, SVGRenderer]);

export { init } from './echarts';
