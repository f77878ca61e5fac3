/** The parts of ECharts that the charts here are made of; loaded only where there is a chart. */
import { BarChart, HeatmapChart, LineChart } from 'echarts/charts';
import {
	AriaComponent,
	GridComponent,
	LegendComponent,
	MarkLineComponent,
	TooltipComponent,
	VisualMapComponent
} from 'echarts/components';
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([
	AriaComponent,
	BarChart,
	GridComponent,
	HeatmapChart,
	LegendComponent,
	LineChart,
	MarkLineComponent,
	SVGRenderer,
	TooltipComponent,
	VisualMapComponent
]);

export { init };
