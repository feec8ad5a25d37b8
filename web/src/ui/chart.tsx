import { useEffect, useRef } from 'react';
import type { EChartsCoreOption, EChartsType } from 'echarts/core';

/** ECharts with the parts that our charts use; fetched when the first chart is drawn. */
async function charts() {
  const [core, kinds, parts, renderers] = await Promise.all([
    import('echarts/core'),
    import('echarts/charts'),
    import('echarts/components'),
    import('echarts/renderers'),
  ]);
  core.use([
    kinds.LineChart,
    kinds.ScatterChart,
    parts.GridComponent,
    parts.TooltipComponent,
    parts.MarkLineComponent,
    parts.MarkAreaComponent,
    renderers.SVGRenderer,
  ]);
  return core;
}

/** A chart. Its colours may be CSS variables, since it is drawn as SVG. `label` says in words what it shows. */
export function Chart({ option, label, height }: { option: EChartsCoreOption; label: string; height: number }) {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(undefined);
  const latest = useRef(option);
  useEffect(() => {
    latest.current = option;
    chart.current?.setOption(option, { notMerge: true });
  }, [option]);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    let gone = false;
    const observer = new ResizeObserver(() => chart.current?.resize());
    void charts().then(({ init }) => {
      if (gone) return;
      chart.current = init(element, null, { renderer: 'svg' });
      chart.current.setOption(latest.current);
      observer.observe(element);
    });
    return () => {
      gone = true;
      observer.disconnect();
      chart.current?.dispose();
      chart.current = undefined;
    };
  }, []);
  return <div ref={box} role="img" aria-label={label} style={{ height }} className="w-full" />;
}
