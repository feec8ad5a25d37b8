import { type Speaker, writeWeighing } from '@dewpot/locales';
import { defined } from '@dewpot/core/math';
import { DAY, HOUR, msg, type Message } from '@dewpot/core/units';
import { shareBand, strengthShare } from '@dewpot/core/binders';
import { agesAt } from '@dewpot/core/curing';
import { standing, type CastEvent } from '@dewpot/core/casts';
import type { CastDetail } from '@dewpot/contract';
import type { EChartsCoreOption } from 'echarts/core';
import { font, INK, inked } from '../ui/chart-style';

const POINTS = 120;
const STRENGTH = 0;
const WATER = 1;

const NOW = 'var(--color-accent)';

/** The room of a mark's name, as a share of the axis. */
const LABEL = 0.12;

type Point = readonly [at: number, value: number];

/** What a chart of a cast's life is drawn from. Times in ms. */
export interface LifeDrawn {
  readonly cast: CastDetail;
  readonly now: number;
  readonly say: Speaker;
}

const markWords: Partial<Record<CastEvent['type'], Message>> = {
  demoulded: msg('casts.markDemoulded'),
  uncovered: msg('casts.markCured'),
  unclamped: msg('casts.markUnclamped'),
  decorated: msg('casts.markDecorated'),
  coated: msg('casts.markCoat'),
  finished: msg('casts.markFinished'),
  'came-later': msg('casts.markCondition'),
  broken: msg('casts.markedBroken'),
};

const marked = ({ events }: CastDetail) => standing(events).filter(({ type }) => markWords[type]);

/** Where the axis ends: some days past the last thing that is known or forecast. */
function endOf({ cast: { life, dryDown, events }, now }: LifeDrawn): number {
  const last = dryDown.curve[dryDown.curve.length - 1];
  const gone = life.finishedAt ?? life.brokenAt;
  return Math.max(
    life.pouredAt + 8 * DAY,
    gone === undefined ? now + 2 * DAY : gone + DAY,
    last && gone === undefined ? life.pouredAt + last.hour * HOUR : 0,
    ...events.map(({ at, type }) => (type === 'voided' ? 0 : at + DAY)),
  );
}

/** Points up to `at`, and those from there on; the one between is in both, so that the line is whole. */
function split(points: readonly Point[], at: number): [before: Point[], after: Point[]] {
  const next = points.findIndex(([when]) => when > at);
  if (next === -1) return [[...points], []];
  return [points.slice(0, next), points.slice(Math.max(0, next - 1))];
}

const curve = (name: string, data: readonly Point[], colour: string, axis: number, more: object = {}) => ({
  name,
  type: 'line',
  data,
  xAxisIndex: axis,
  yAxisIndex: axis,
  showSymbol: false,
  silent: true,
  lineStyle: { color: colour, width: 2.5 },
  itemStyle: { color: colour },
  ...more,
});

const forecast = (colour: string) => ({ lineStyle: { color: colour, width: 2.5, type: 'dashed' } });

/** Upright lines through a chart: what happened, and now. Named on the upper one. */
function marks({ cast, now, say }: LifeDrawn, end: number, named: boolean) {
  const label = { ...font, show: named, position: 'insideEndTop', rotate: 0, align: 'left', padding: [0, 0, 0, 4] };
  const events = marked(cast);
  const near = (end - cast.life.pouredAt) * LABEL;
  const happened = events.map(({ at, type }, i) => {
    const next = events[i + 1]?.at ?? (now < end ? now : Infinity);
    const before = events[i - 1]?.at ?? -Infinity;
    // A name stands to the right of its line, else to its left, else it is left out: it stands in the record.
    const side = next - at >= near ? 'left' : 'right';
    const fits = side === 'left' || at - before >= 2 * near;
    return {
      xAxis: at,
      lineStyle: { color: inked(45), width: 1.2, type: 'solid' },
      label: {
        ...label,
        show: named && fits,
        align: side,
        padding: side === 'left' ? [0, 0, 0, 4] : [0, 4, 0, 0],
        formatter: say.value(markWords[type] ?? ''),
      },
    };
  });
  const here = {
    xAxis: now,
    lineStyle: { color: NOW, width: 2, type: 'solid' },
    label: { ...font, show: named, formatter: say('casts.now'), color: NOW, fontWeight: 700 },
  };
  return { silent: true, symbol: 'none', data: now < end ? [...happened, here] : happened };
}

/** Stretches without readings, over which the temperature was drawn straight. */
const bridged = ({ cast }: LifeDrawn) => ({
  silent: true,
  itemStyle: { color: inked(14) },
  data: cast.ambient.bridges.map(({ from, to }) => [{ xAxis: from }, { xAxis: to }]),
});

function strengthCurves(drawn: LifeDrawn, end: number) {
  const { cast, now, say } = drawn;
  const { pouredAt } = cast.life;
  const { binderClass } = cast.snapshot;
  const hours = Array.from({ length: POINTS }, (_, i) => (((end - pouredAt) / HOUR) * i) / (POINTS - 1));
  const ages = agesAt(cast.ambient.temperatures, hours, binderClass);
  const pointsOf = (share: (age: number) => number) =>
    ages.map((age, i): Point => [pouredAt + defined(hours[i]) * HOUR, share(age) * 100]);
  const points = pointsOf((age) => strengthShare(binderClass, age));
  const low = (age: number) => Math.min(1, shareBand(binderClass, age)[0]);
  const high = (age: number) => Math.min(1, shareBand(binderClass, age)[1]);
  const [was, willBe] = split(points, now);
  const colour = 'var(--color-primary)';
  const none = { lineStyle: { opacity: 0 }, stack: 'shares' };
  return [
    curve(say('casts.atLeastLine'), pointsOf(low), colour, STRENGTH, { ...none, markArea: bridged(drawn) }),
    curve(
      say('casts.atMostLine'),
      pointsOf((age) => high(age) - low(age)),
      colour,
      STRENGTH,
      { ...none, areaStyle: { color: colour, opacity: 0.18 } },
    ),
    curve(say('casts.strength'), was, colour, STRENGTH, { markLine: marks(drawn, end, true) }),
    curve(say('casts.strengthForecast'), willBe, colour, STRENGTH, forecast(colour)),
  ];
}

function waterCurves(drawn: LifeDrawn, end: number) {
  const { say } = drawn;
  const { life, dryDown, expected } = drawn.cast;
  const at = (hour: number) => life.pouredAt + hour * HOUR;
  const points = (value: (one: (typeof dryDown.curve)[number]) => number) =>
    dryDown.curve.map((one): Point => [at(one.hour), value(one)]);
  const [fitted, ahead] = split(
    points(({ mass }) => mass),
    life.weighedAt ?? 0,
  );
  const colour = 'var(--color-secondary)';
  const none = { lineStyle: { opacity: 0 }, stack: 'band' };
  return [
    curve(
      say('casts.from'),
      points(({ low }) => low),
      colour,
      WATER,
      { ...none, markLine: marks(drawn, end, false) },
    ),
    curve(
      say('casts.to'),
      points(({ low, high }) => high - low),
      colour,
      WATER,
      {
        ...none,
        areaStyle: { color: 'var(--water)', opacity: 0.3 },
      },
    ),
    curve(say('casts.dryingCurve'), fitted, colour, WATER),
    curve(say('casts.dryingForecast'), ahead, colour, WATER, forecast(colour)),
    {
      name: say('casts.weighed'),
      type: 'scatter',
      xAxisIndex: WATER,
      yAxisIndex: WATER,
      symbol: 'rect',
      symbolSize: 8,
      silent: true,
      data: life.weighings.map(({ hour, mass }): Point => [at(hour), mass]),
      itemStyle: { color: INK },
      markLine: {
        silent: true,
        symbol: 'none',
        lineStyle: { color: colour, type: 'dotted', width: 1.5 },
        label: { ...font, formatter: say('casts.dryByMix'), position: 'insideStartTop' },
        data: [{ yAxis: expected.dry }],
      },
    },
  ];
}

/** What was done again and again, and what was seen: wettings along the foot of the upper chart, photos along its head. */
function ticks({ cast: { life, pictures }, say }: LifeDrawn) {
  const tick = (name: string, symbol: string, at: readonly number[], height: number, colour: string) => ({
    name,
    type: 'scatter',
    xAxisIndex: STRENGTH,
    yAxisIndex: STRENGTH,
    symbol,
    symbolSize: 7,
    silent: true,
    data: at.map((one): Point => [one, height]),
    itemStyle: { color: colour },
  });
  return [
    tick(say('casts.wetted'), 'triangle', life.wettings ?? [], 4, 'var(--color-secondary)'),
    tick(
      say('casts.photo'),
      'diamond',
      pictures.map(({ at }) => at),
      96,
      INK,
    ),
  ];
}

/** Ends of the axis of masses, g, on round numbers about everything that is drawn. */
function massAxis({ cast: { life, dryDown, expected } }: LifeDrawn) {
  const masses = [
    expected.dry,
    ...life.weighings.map(({ mass }) => mass),
    ...dryDown.curve.flatMap(({ low, high }) => [low, high]),
  ];
  const [least, most] = [Math.min(...masses), Math.max(...masses, expected.dry + 10)];
  const step = [5, 10, 20, 25, 50, 100, 200, 250, 500, 1000].find((one) => (most - least) / one <= 5) ?? 2000;
  return { min: Math.floor((least - 1) / step) * step, max: Math.ceil((most + 1) / step) * step, interval: step };
}

/** Where the two charts stand, px: of an article nobody calculates a strength, and what happened stands alone above the water. */
const layouts = {
  cast: { strength: { top: 24, height: 116 }, water: { top: 176, height: 150 } },
  article: { strength: { top: 24, height: 14 }, water: { top: 46, height: 280 } },
} as const;

/** The chart's option: strength above, water below, on one time axis. */
export function lifeOption(drawn: LifeDrawn): EChartsCoreOption {
  const { cast, say } = drawn;
  const end = endOf(drawn);
  const masses = massAxis(drawn);
  const joined = cast.snapshot.article !== undefined;
  const layout = joined ? layouts.article : layouts.cast;
  const gridLines = { splitLine: { lineStyle: { color: inked(15) } } };
  const time = (gridIndex: number, show: boolean) => ({
    type: 'time',
    gridIndex,
    show: show || !joined,
    min: cast.life.pouredAt,
    max: end,
    axisLine: { lineStyle: { color: INK } },
    axisLabel: { ...font, show, hideOverlap: true, formatter: (value: number) => say.value({ at: value, as: 'date' }) },
    splitLine: { show: false },
  });
  return {
    animation: false,
    grid: [
      { left: 64, right: 18, ...layout.strength },
      { left: 64, right: 18, ...layout.water },
    ],
    xAxis: [time(STRENGTH, false), time(WATER, true)],
    yAxis: [
      {
        gridIndex: STRENGTH,
        show: !joined,
        min: 0,
        max: 100,
        interval: 25,
        axisLabel: { ...font, formatter: (value: number) => say.quantity(value, '%', 0) },
        ...gridLines,
      },
      {
        gridIndex: WATER,
        ...masses,
        axisLabel: { ...font, formatter: (mass: number) => writeWeighing(mass, masses.interval, say.reader) },
        ...gridLines,
      },
    ],
    series: [
      ...(joined
        ? [curve(say('casts.happened'), [], INK, STRENGTH, { markLine: marks(drawn, end, true) })]
        : strengthCurves(drawn, end)),
      ...ticks(drawn),
      ...waterCurves(drawn, end),
    ],
  };
}
