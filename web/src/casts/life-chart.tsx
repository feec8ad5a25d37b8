import { useMemo } from 'react';
import { agesAt, strengthShare, type TemperatureReading } from '@dewpot/core';
import type { CastDetail } from '@dewpot/contract';
import type { EChartsCoreOption } from 'echarts/core';
import { format } from 'date-fns';
import { Chart } from '../ui/chart';
import { useUnits, type Units } from '../ui/units';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const POINTS = 120;
const INK = 'var(--color-base-content)';
const FAINT = 'color-mix(in oklab, var(--color-base-content) 18%, transparent)';

type Point = readonly [at: number, value: number];

/** Share of strength over time, %, split at now into what was and what is forecast. */
function strengthPoints(
  { life, snapshot }: CastDetail,
  temperatures: readonly TemperatureReading[],
  end: number,
): Point[] {
  const hours = Array.from({ length: POINTS }, (_, i) => (((end - life.pouredAt) / HOUR) * i) / (POINTS - 1));
  return agesAt(temperatures, hours, snapshot.setting).map((age, i) => [
    life.pouredAt + hours[i]! * HOUR,
    Math.min(100, strengthShare(snapshot.setting, age) * 100),
  ]);
}

const split = (points: readonly Point[], at: number) => ({
  before: points.filter(([when]) => when <= at),
  after: points.filter(([when], i) => when > at || (points[i + 1]?.[0] ?? 0) > at),
});

const eventWords: Record<string, string> = {
  'lifted-out': 'out of the mould',
  uncovered: 'uncovered',
  coated: 'coat',
  'put-out': 'put out',
  broken: 'broken',
};

const line = (name: string, data: readonly Point[], colour: string, grid: number, dashed = false) => ({
  name,
  type: 'line',
  data,
  xAxisIndex: grid,
  yAxisIndex: grid,
  showSymbol: false,
  silent: true,
  lineStyle: { color: colour, width: 2.5, type: dashed ? 'dashed' : 'solid' },
  itemStyle: { color: colour },
});

const axisText = { color: INK, fontFamily: 'inherit', fontSize: 12 };

function optionOf(
  cast: CastDetail,
  temperatures: readonly TemperatureReading[],
  now: number,
  units: Units,
): EChartsCoreOption {
  const { life, events, dryDown, expected } = cast;
  const last = dryDown.curve[dryDown.curve.length - 1];
  const marked = events.filter(
    ({ id, type }) => eventWords[type] && !events.some((one) => one.type === 'voided' && one.event === id),
  );
  const end = Math.max(
    life.pouredAt + 8 * DAY,
    ...(life.outAt || life.brokenAt ? [] : [now + 2 * DAY]),
    ...(last ? [life.pouredAt + last.hour * HOUR] : []),
    ...marked.map(({ at }) => at + DAY),
  );
  const strength = split(strengthPoints(cast, temperatures, end), now);
  const at = (hour: number) => life.pouredAt + hour * HOUR;
  const weighedAt = life.weighedAt ?? 0;
  const median = split(
    dryDown.curve.map(({ hour, mass }) => [at(hour), mass] as const),
    weighedAt,
  );
  const mass = (grams: number) => units.split(grams, 'g').number;
  const marks = {
    silent: true,
    symbol: 'none',
    lineStyle: { color: INK, opacity: 0.45, width: 1, type: 'solid' },
    data: marked.map((event) => ({ xAxis: event.at })),
  };
  const nowMark =
    now < end
      ? [
          {
            xAxis: now,
            lineStyle: { color: 'var(--color-accent)', width: 2, opacity: 1 },
            label: { show: true, formatter: 'now', color: 'var(--color-accent)', fontWeight: 700 },
          },
        ]
      : [];
  const named = marked.map((event) => ({
    xAxis: event.at,
    label: {
      show: true,
      formatter: eventWords[event.type],
      color: INK,
      rotate: 0,
      align: 'left',
      padding: [0, 0, 0, 4],
      fontSize: 11,
      position: 'insideEndTop',
    },
  }));
  const xAxis = (gridIndex: number, labels: boolean) => ({
    type: 'time',
    gridIndex,
    min: life.pouredAt,
    max: end,
    axisLine: { lineStyle: { color: INK } },
    axisLabel: { ...axisText, show: labels, hideOverlap: true, formatter: (value: number) => format(value, 'd MMM') },
    splitLine: { show: false },
  });
  const masses = [...life.weighings.map((one) => one.mass), ...dryDown.curve.flatMap(({ low, high }) => [low, high])];
  const span = Math.max(...masses, expected.dry) - Math.min(...masses, expected.dry);
  return {
    animation: false,
    grid: [
      { left: 62, right: 16, top: 22, height: 118 },
      { left: 62, right: 16, top: 178, height: 150 },
    ],
    xAxis: [xAxis(0, false), xAxis(1, true)],
    yAxis: [
      {
        type: 'value',
        gridIndex: 0,
        min: 0,
        max: 100,
        interval: 25,
        axisLabel: { ...axisText, formatter: '{value} %' },
        splitLine: { lineStyle: { color: FAINT } },
      },
      {
        type: 'value',
        gridIndex: 1,
        scale: true,
        splitNumber: 4,
        ...(masses.length > 0 && {
          min: Math.floor(Math.min(...masses, expected.dry) - span * 0.1),
          max: Math.ceil(Math.max(...masses, expected.dry) + span * 0.1),
        }),
        axisLabel: {
          ...axisText,
          showMinLabel: false,
          showMaxLabel: false,
          formatter: (value: number) => units.say(value, 'g'),
        },
        splitLine: { lineStyle: { color: FAINT } },
      },
    ],
    tooltip: {
      trigger: 'axis',
      backgroundColor: 'var(--color-base-100)',
      borderColor: 'var(--color-base-300)',
      textStyle: { color: INK, fontFamily: 'inherit' },
    },
    series: [
      {
        ...line('Strength', strength.before, 'var(--color-primary)', 0),
        silent: false,
        tooltip: { valueFormatter: (v: number) => `${v.toFixed(0)} %` },
        markLine: { ...marks, data: [...named, ...nowMark] },
      },
      line('Strength, forecast', strength.after, 'var(--color-primary)', 0, true),
      {
        ...line(
          'band',
          dryDown.curve.map(({ hour, low }) => [at(hour), low] as const),
          'transparent',
          1,
        ),
        stack: 'band',
        tooltip: { show: false },
        markLine: {
          ...marks,
          label: { show: false },
          data: [...marks.data, ...nowMark.map(({ xAxis: x, lineStyle }) => ({ xAxis: x, lineStyle }))],
        },
      },
      {
        ...line(
          'band',
          dryDown.curve.map(({ hour, low, high }) => [at(hour), high - low] as const),
          'transparent',
          1,
        ),
        stack: 'band',
        tooltip: { show: false },
        areaStyle: { color: 'var(--water)', opacity: 0.28 },
      },
      line('Fitted', median.before, 'var(--color-secondary)', 1),
      line('Fitted, forecast', median.after, 'var(--color-secondary)', 1, true),
      {
        name: 'Weighed',
        type: 'scatter',
        xAxisIndex: 1,
        yAxisIndex: 1,
        symbol: 'rect',
        symbolSize: 8,
        data: life.weighings.map((one) => [at(one.hour), one.mass]),
        itemStyle: { color: INK },
        tooltip: { valueFormatter: (v: number) => mass(v) },
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: 'var(--color-secondary)', type: 'dotted', width: 1.5 },
          label: { formatter: 'dry, as mixed', position: 'insideStartTop', color: INK, fontSize: 11 },
          data: [{ yAxis: expected.dry }],
        },
      },
    ],
  };
}

/** A cast's life on one axis: strength above, water below, what happened as lines through both. */
export function LifeChart({
  cast,
  temperatures,
  now,
}: {
  cast: CastDetail;
  temperatures: readonly TemperatureReading[];
  now: number;
}) {
  const units = useUnits();
  const option = useMemo(() => optionOf(cast, temperatures, now, units), [cast, temperatures, now, units]);
  return (
    <figure>
      <figcaption className="mb-1 flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">Its life so far, and ahead</h2>
        <span className="quiet text-sm">
          above: share of strength; below: mass, with the band of the fit; dashed: forecast
        </span>
      </figcaption>
      <Chart
        option={option}
        height={356}
        label={`Strength and drying of ${cast.code}: ${cast.life.weighings.length} weighings`}
      />
    </figure>
  );
}
