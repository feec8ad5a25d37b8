import type { PlaceAmbient } from '@dewpot/contract';
import type { EChartsCoreOption } from 'echarts/core';
import { weekdayClock } from '../ui/format-time';
import { DAY } from '@dewpot/core/units';
import { font, INK, inked } from '../ui/chart-style';
import type { Speaker } from '@dewpot/locales';

const WARM = 'var(--color-accent)';
const DAMP = 'var(--color-secondary)';

/** What is bridged, on grey, and the present, named where it is asked for. */
const marksOf = (bridges: PlaceAmbient['bridges'], now: number, named: string | false) => ({
  markArea: {
    silent: true,
    itemStyle: { color: inked(16) },
    data: bridges.map(({ from, to }) => [{ xAxis: from }, { xAxis: to }]),
  },
  markLine: {
    silent: true,
    symbol: 'none',
    data: [
      {
        xAxis: now,
        lineStyle: { color: INK, width: 1.5, type: 'solid' },
        label: { ...font, show: named !== false, formatter: named || '' },
      },
    ],
  },
});

/** Temperature above, humidity below: what was recorded drawn solid, what is forecast dashed, what is bridged on grey. */
export function ambientOption(
  { recorded, ahead, bridges }: PlaceAmbient,
  days: number,
  now: number,
  say: Speaker,
): EChartsCoreOption {
  const end = now + Math.min(4, days) * DAY;
  const soon = ahead.filter(({ at }) => at > now && at <= end);
  const last = recorded[recorded.length - 1];
  const forecast = last ? [last, ...soon] : soon;
  const time = (gridIndex: number, show: boolean) => ({
    type: 'time',
    gridIndex,
    min: recorded[0]?.at ?? now - days * DAY,
    max: end,
    axisLine: { lineStyle: { color: INK } },
    axisLabel: {
      ...font,
      show,
      hideOverlap: true,
      formatter: (value: number) => say.value(days > 4 ? { at: value, as: 'date' } : weekdayClock(value)),
    },
    splitLine: { show: false },
  });
  const line = (name: string, data: (readonly [number, number])[], colour: string, axis: number, dashed: boolean) => ({
    name,
    type: 'line',
    data,
    xAxisIndex: axis,
    yAxisIndex: axis,
    showSymbol: false,
    silent: true,
    lineStyle: { color: colour, width: 2, type: dashed ? 'dashed' : 'solid' },
    ...(!dashed && marksOf(bridges, now, axis === 0 && say('casts.now'))),
  });
  const warmth = (of: typeof recorded) => of.map(({ at, temperature }) => [at, temperature] as const);
  const damp = (of: typeof recorded) => of.map(({ at, humidity }) => [at, humidity * 100] as const);
  const axis = (gridIndex: number, write: (value: number) => string, more: object) => ({
    gridIndex,
    scale: true,
    splitNumber: 4,
    axisLabel: { ...font, formatter: write },
    splitLine: { lineStyle: { color: inked(15) } },
    ...more,
  });
  return {
    animation: false,
    grid: [
      { left: 62, right: 18, top: 22, height: 178 },
      { left: 62, right: 18, top: 228, height: 100 },
    ],
    xAxis: [time(0, false), time(1, true)],
    yAxis: [
      axis(0, (value) => say.quantity(value, '°C'), {}),
      axis(1, (value) => say.quantity(value, '%', 0), { min: 20, max: 100, interval: 20 }),
    ],
    series: [
      line(say('ambient.temperature'), warmth(recorded), WARM, 0, false),
      line(say('ambient.temperatureAhead'), warmth(forecast), WARM, 0, true),
      line(say('ambient.humidity'), damp(recorded), DAMP, 1, false),
      line(say('ambient.humidityAhead'), damp(forecast), DAMP, 1, true),
    ],
  };
}
