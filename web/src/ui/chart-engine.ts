import { BarChart, CustomChart, LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TitleComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

register([BarChart, CustomChart, LineChart, ScatterChart]);
register([
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TitleComponent,
  TooltipComponent,
  SVGRenderer,
]);

/** Draws a chart into an element, as SVG. Fetched when the first chart is drawn. */
export const drawChart = (element: HTMLElement) => init(element, null, { renderer: 'svg' });
