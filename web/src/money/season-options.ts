import type { EChartsCoreOption } from 'echarts/core';
import type { SeasonMonth } from '@dewpot/core/money';
import type { Speaker } from '@dewpot/locales';
import { font, inked } from '../ui/chart-style';
import { monthInWords } from '../ui/month-words';

const GRID = { left: 48, right: 12, top: 30, bottom: 26 };
const axis = {
  axisLine: { lineStyle: { color: inked(40) } },
  splitLine: { lineStyle: { color: inked(10) } },
  axisLabel: font,
};

interface Stack {
  readonly name: string;
  readonly colour: string;
  readonly of: (month: SeasonMonth) => number;
}

/** Columns month by month, one on the other. */
function stacked(months: readonly SeasonMonth[], stacks: readonly Stack[], say: Speaker, unit?: 'money'): EChartsCoreOption {
  return {
    animation: false,
    textStyle: font,
    grid: GRID,
    legend: { top: 0, left: 40, itemWidth: 12, itemHeight: 12, textStyle: font },
    tooltip: { trigger: 'axis', confine: true, ...(unit && { valueFormatter: (value: unknown) => say.quantity(Number(value), unit) }) },
    xAxis: { type: 'category', data: months.map(({ month }) => say.value(monthInWords(month))), ...axis },
    yAxis: { type: 'value', minInterval: 1, ...axis },
    series: stacks.map(({ name, colour, of }) => ({ name, type: 'bar', stack: 'all', barMaxWidth: 34, itemStyle: { color: colour }, data: months.map(of) })),
  };
} // prettier-ignore

/** Pieces by month: good, with something wrong, broken, not looked at yet. */
export const piecesOption = (months: readonly SeasonMonth[], say: Speaker): EChartsCoreOption =>
  stacked(
    months,
    [
      { name: say('money.goodOnes'), colour: 'var(--color-primary)', of: ({ good }) => good },
      { name: say('money.faultyOnes'), colour: 'var(--color-warning)', of: ({ seen, good, broken }) => Math.max(0, seen - good - broken) },
      { name: say('money.brokenOnes'), colour: 'var(--color-error)', of: ({ broken }) => broken },
      { name: say('money.unseenOnes'), colour: inked(25), of: ({ casts, seen }) => casts - seen },
    ],
    say,
  ); // prettier-ignore

/** Spending by month: what became pieces, and what was thrown away. */
export const spendingOption = (months: readonly SeasonMonth[], say: Speaker): EChartsCoreOption =>
  stacked(
    months,
    [
      { name: say('money.intoPieces'), colour: 'var(--color-secondary)', of: ({ spent, wasted }) => spent - wasted },
      { name: say('money.wasted'), colour: 'var(--color-error)', of: ({ wasted }) => wasted },
    ],
    say,
    'money',
  );
