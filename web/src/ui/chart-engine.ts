import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent, TitleComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

register([LineChart, ScatterChart, GridComponent, MarkAreaComponent, MarkLineComponent, TitleComponent, SVGRenderer]);

/** Draws a chart into an element, as SVG. Fetched when the first chart is drawn. */
export const drawChart = (element: HTMLElement) => init(element, null, { renderer: 'svg' });
