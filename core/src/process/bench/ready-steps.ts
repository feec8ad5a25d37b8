import { blanks, releases } from '../../geometry/moulds/index.js';
import type { PourItem, CalculatedPart } from '../pours/index.js';
import { EACH, LAY_OUT } from './step-times.js';
import type { RunWays } from './steps-of.js';
import type { Step, StepKind } from './steps.js';

/** What comes before the first bucket: laying out, release and its drying, insets, cores. */
export function readySteps(parts: readonly CalculatedPart[], { release, people }: RunWays): Step[] {
  const items = parts.flatMap(({ plan }) => plan.items);
  const countOf = (which: (item: PourItem) => boolean) =>
    items.reduce((sum, item) => sum + (which(item) ? item.count : 0), 0);
  const told = { part: 0, hands: true, moulds: [] };
  const forEach = (kind: StepKind, each: number, moulds: number): Step[] =>
    moulds > 0 ? [{ ...told, key: kind, kind, minutes: (each * moulds) / Math.max(1, people) }] : [];
  const released = release !== undefined && release !== 'none';
  const dries = released ? releases[release].dries : 0;
  return [
    { ...told, key: 'lay-out', kind: 'lay-out', minutes: LAY_OUT },
    ...forEach('release', EACH.release, released ? countOf(() => true) : 0),
    ...(dries > 0
      ? [{ ...told, key: 'release-dries', kind: 'release-dries' as const, minutes: dries, hands: false }]
      : []),
    ...forEach(
      'insets',
      EACH.inset,
      countOf(({ inset }) => inset?.face === 'mould'),
    ),
    ...forEach(
      'cores',
      EACH.cores,
      countOf(({ shape }) => blanks(shape).length > 0),
    ),
  ];
}
