import { useEffect, useRef } from 'react';
import type { EChartsCoreOption, EChartsType } from 'echarts/core';

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
    void import('./chart-engine').then(({ drawChart }) => {
      if (gone) return;
      chart.current = drawChart(element);
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
  // Clipped: where its box gets narrower, it does not make the page wide until it is drawn anew.
  return <div ref={box} role="img" aria-label={label} style={{ height }} className="w-full overflow-x-clip" />;
}
