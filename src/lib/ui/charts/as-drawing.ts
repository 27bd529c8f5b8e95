import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([SVGRenderer]);

export { init } from './echarts';
