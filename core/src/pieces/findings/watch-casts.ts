import { isGood, type FindingRecord } from './finding-record.js';
import { outLately, type OutOfLimits } from './out-of-limits.js';
import {
  damageByCycles,
  goodByMonth,
  individualsChart,
  type CyclesShare,
  type MonthShare,
  type WatchedPoint,
} from './watch.js';

/** A cast on the chart of masses. */
export interface WatchedMass extends WatchedPoint {
  readonly id: string;
  readonly code: string;
  readonly at: number;
}

/** A copy of a mould, and how its damage went with its use. */
interface WatchedCopy {
  readonly copy: string;
  readonly stretches: readonly CyclesShare[];
}

/** What is watched over all casts of a workshop. */
export interface WatchedCasts {
  readonly masses: readonly WatchedMass[];
  readonly months: readonly MonthShare[];
  readonly copies: readonly WatchedCopy[];
  /** Masses of late that are out of their limits, the newest first. */
  readonly lately: readonly OutOfLimits[];
}

/** So many points are on a chart at the most: the latest. */
const MOST_POINTS = 200;

/** Masses at demoulding against what was expected, good casts by month, and damage against use, over the casts that were seen. `now`: ms. */
export function watchCasts(records: readonly FindingRecord[], now: number): WatchedCasts {
  const seen = records.filter((one) => one.seen).sort((a, b) => a.at - b.at);
  const weighed = seen.filter(({ measured }) => measured.mass !== undefined);
  const chart = individualsChart(weighed.map(({ measured }) => measured.mass ?? 1));
  const masses = weighed.map(({ id, code, at }, i) => ({ id, code, at, ...(chart[i] ?? { value: 1, out: false }) }));
  const copies = [...new Set(seen.flatMap(({ ways }) => ways.copy ?? []))];
  return {
    masses: masses.slice(-MOST_POINTS),
    lately: outLately(masses, records, now),
    months: goodByMonth(seen.map((one) => ({ month: one.ways.month ?? '', good: isGood(one) }))),
    copies: copies.flatMap((copy) => {
      const own = seen.filter(({ ways }) => ways.copy === copy);
      const stretches = damageByCycles(own.map(({ under, faults }) => ({ cycles: under.cycles?.value ?? 0, hurt: faults.length > 0 })));
      return stretches.length > 1 ? [{ copy, stretches }] : [];
    }),
  };
} // prettier-ignore
