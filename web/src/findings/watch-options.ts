import type { EChartsCoreOption } from 'echarts/core';
import type { MonthShare, WatchedMass } from '@dewpot/core/findings';
import type { Speaker } from '@dewpot/locales';
import { font, INK, inked } from '../ui/chart-style';
import { wayName } from './way-words';

const GRID = { left: 44, right: 12, top: 14, bottom: 26 };
const MOSS = 'var(--color-primary)';
const CLAY = 'var(--color-error)';
const percent = (share: number) => `${Math.round(share * 100)} %`;
const axis = {
  axisLine: { lineStyle: { color: inked(40) } },
  splitLine: { lineStyle: { color: inked(10) } },
  axisLabel: font,
};

/** Share of good casts by month, each with its exact limits. */
export function monthsOption(months: readonly MonthShare[], say: Speaker): EChartsCoreOption {
  return {
    animation: false,
    textStyle: font,
    grid: GRID,
    xAxis: { type: 'category', data: months.map(({ month }) => say.value(wayName('month', month))), ...axis },
    yAxis: { type: 'value', min: 0, max: 1, interval: 0.5, ...axis, axisLabel: { ...font, formatter: percent } },
    series: [
      { type: 'bar', data: months.map(({ good, casts, out }) => ({ value: good / casts, itemStyle: { color: out ? CLAY : MOSS } })), barMaxWidth: 34 },
      {
        type: 'custom',
        data: months.map(({ limits: [low, high] }, i) => [i, low, high]),
        renderItem: (_: unknown, api: { value: (at: number) => number; coord: (point: readonly [number, number]) => readonly [number, number] }) => {
          const [x, low] = api.coord([api.value(0), api.value(1)]);
          const [, high] = api.coord([api.value(0), api.value(2)]);
          return { type: 'line', shape: { x1: x, y1: low, x2: x, y2: high }, style: { stroke: INK, lineWidth: 1.5 } };
        },
        silent: true,
      },
    ],
  };
} // prettier-ignore

/** Mass at demoulding over what was expected, cast by cast, with the limits that the casts before each one give. */
export function massesOption(masses: readonly WatchedMass[], say: Speaker): EChartsCoreOption {
  const limit = (k: 0 | 1 | 2) => masses.map(({ limits }) => limits?.[k] ?? null);
  const values = masses.flatMap(({ value, limits }) => [value, ...(limits ?? [])]);
  const line = (k: 0 | 1 | 2, type: 'solid' | 'dashed') => ({ type: 'line', data: limit(k), symbol: 'none', silent: true, lineStyle: { color: inked(50), width: 1, type } });
  return {
    animation: false,
    textStyle: font,
    grid: GRID,
    xAxis: { type: 'category', data: masses.map(({ code }) => code), ...axis },
    yAxis: { type: 'value', min: Math.floor(Math.min(...values) * 50) / 50, max: Math.ceil(Math.max(...values) * 50) / 50, ...axis, axisLabel: { ...font, formatter: percent } },
    tooltip: { trigger: 'axis', confine: true, valueFormatter: (share: unknown) => (typeof share === 'number' ? percent(share) : '') },
    series: [
      line(0, 'dashed'),
      line(1, 'solid'),
      line(2, 'dashed'),
      { name: say('findings.ofExpected'), type: 'scatter', symbolSize: 8, data: masses.map(({ value, out }) => ({ value, itemStyle: { color: out ? CLAY : MOSS } })) },
    ],
  };
} // prettier-ignore
