import { type Speaker } from '@dewpot/locales';
import { fixed, msg, neededDecimals, type Message } from '@dewpot/core/units';
import type { Simulation } from '@dewpot/core/simulation';
import type { EChartsCoreOption } from 'echarts/core';
import { font, INK, inked } from '../ui/chart-style';

const DAY = 24;
/** Every so many hours a point is drawn. */
const EVERY = 4;

type Curve = 'strength' | 'water' | 'evaporation';
const rows: readonly { readonly of: Curve; readonly colour: string; readonly name: Message }[] = [
  { of: 'strength', colour: 'var(--color-primary)', name: msg('simulation.strengthAxis') },
  { of: 'water', colour: 'var(--color-secondary)', name: msg('simulation.waterAxis') },
  { of: 'evaporation', colour: 'var(--color-accent)', name: msg('simulation.evaporationAxis') },
];
const HEIGHT = 84;
const GAP = 38;

const valueOf = (of: Curve) => (hour: Simulation['hours'][number]) =>
  of === 'strength' ? hour.strength * 100 : of === 'water' ? hour.waterShare * 100 : hour.evaporation;

/** Forty days of one or two ways on one axis: strength, water, evaporation beneath one another. The second way is dashed. */
export function curvesOption(ways: readonly Simulation[], say: Speaker): EChartsCoreOption {
  const lines = rows.flatMap(({ of, colour }, axis) =>
    ways.map((way, i) => ({
      type: 'line',
      xAxisIndex: axis,
      yAxisIndex: axis,
      showSymbol: false,
      silent: true,
      data: way.hours.filter((_, k) => k % EVERY === 0).map((hour) => [hour.hour / DAY, valueOf(of)(hour)]),
      lineStyle: { color: colour, width: i === 0 ? 2.5 : 2, type: i === 0 ? 'solid' : 'dashed' },
    })),
  );
  return {
    animation: false,
    grid: rows.map((_, i) => ({ left: 48, right: 12, top: 26 + i * (HEIGHT + GAP), height: HEIGHT })),
    title: rows.map(({ name }, i) => ({
      text: say(name),
      left: 0,
      top: 2 + i * (HEIGHT + GAP),
      textStyle: { ...font, fontSize: 13, fontWeight: 600, color: INK },
    })),
    xAxis: rows.map((_, i) => ({
      type: 'value',
      gridIndex: i,
      min: 0,
      max: 40,
      interval: 5,
      axisLine: { lineStyle: { color: INK } },
      splitLine: { lineStyle: { color: inked(12) } },
      axisLabel: {
        ...font,
        show: i === rows.length - 1,
        formatter: (value: number) => say('simulation.dayTick', { day: `${value}` }),
      },
    })),
    yAxis: rows.map(({ of }, i) => ({
      type: 'value',
      gridIndex: i,
      min: 0,
      ...(of !== 'evaporation' && { max: 100, interval: 50 }),
      ...(of === 'evaporation' && { splitNumber: 2 }),
      axisLabel: {
        ...font,
        formatter: (value: number) => say.value(fixed(value, of === 'evaporation' ? neededDecimals(value) : 0)),
      },
      splitLine: { lineStyle: { color: inked(12) } },
    })),
    series: lines,
  };
}

/** Height of the chart, px. */
export const CURVES_HEIGHT = 26 + rows.length * (HEIGHT + GAP);
