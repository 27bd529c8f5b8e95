import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent, MarkPointComponent } from 'echarts/components';
import { use } from 'echarts/core';

use([BarChart, LineChart, GridComponent, MarkAreaComponent, MarkLineComponent, MarkPointComponent]);

export { init } from 'echarts/core';
