import { DAY } from '@dewpot/core/units';
import { wantedStates, type CalendarPlan, type ChainTimes, type PlannedPieces, type WantedState } from '@dewpot/core/calendar'; // prettier-ignore
import { startOfDay } from 'date-fns';

/** What a piece goes through, from its pour to the day it is wanted. */
export type RailPhase = 'setting' | 'curing' | 'drying' | 'ready';

/** A stretch of a lane, ms. */
interface RailSpan {
  readonly phase: RailPhase;
  readonly from: number;
  readonly to: number;
}

/** Pieces that one session pours of a line: their way, and how much longer it may take. */
export interface RailLane {
  readonly key: string;
  readonly count: number;
  readonly pouredAt: number;
  /** It is poured already. */
  readonly stands: boolean;
  readonly spans: readonly RailSpan[];
  /** Ready usually, and at the longest that is counted on. */
  readonly ready?: number;
  readonly longest?: number;
}

/** The stretches of a piece until it is as it is wanted. */
function spansOf(pouredAt: number, times: ChainTimes, state: WantedState): RailSpan[] {
  const until = wantedStates.indexOf(state);
  const stops: readonly (readonly [RailPhase, WantedState])[] = [
    ['setting', 'demoulded'],
    ['curing', 'cured'],
    ['drying', 'dry'],
    ['drying', 'sealed'],
    ['ready', 'hardened'],
  ];
  let from = pouredAt;
  return stops.slice(0, until + 1).flatMap(([phase, stop]) => {
    const span = { phase, from, to: times[stop] };
    from = times[stop];
    return span.to > span.from ? [span] : [];
  });
}

/** The lanes of a line: one for each session that pours it. */
export function lanesOf({ pieces }: Pick<CalendarPlan, 'pieces'>, line: string, state: WantedState): RailLane[] {
  return pieces
    .filter((one) => one.line === line && one.count > 0)
    .map(({ pouredAt, session, count, middle, long }: PlannedPieces): RailLane => {
      return {
        key: `${line} ${pouredAt}`,
        count,
        pouredAt,
        stands: session === undefined,
        spans: middle ? spansOf(pouredAt, middle, state) : [],
        ...(middle && { ready: middle[state] }),
        ...(long && { longest: long[state] }),
      };
    });
}

/** The days that a drawing shows, and where a time lies in it. */
export interface RailScale {
  readonly days: readonly number[];
  readonly day: number;
  readonly width: number;
  readonly x: (at: number) => number;
}

/** A day is no narrower than this, px. */
const LEAST_DAY = 15;
const MOST_DAYS = 182;
/** Days that are shown after the last thing that happens. */
const AFTER = 2;

/** A scale of days from today to the last of these times, within so many px where the days are not too narrow for that. */
export function railScale(now: number, times: readonly number[], room: number): RailScale {
  const first = startOfDay(now).getTime();
  const last = Math.max(now + 14 * DAY, ...times.filter((at) => Number.isFinite(at)));
  const count = Math.min(MOST_DAYS, Math.ceil((last - first) / DAY) + AFTER);
  const day = Math.max(LEAST_DAY, room / count);
  const days = Array.from({ length: count }, (_, i) => startOfDay(first + i * DAY + DAY / 2).getTime());
  const x = (at: number) => Math.min(count * day, Math.max(0, ((at - first) / DAY) * day));
  return { days, day, width: count * day, x };
}

/** A stretch of days in which so many copies of a mould are full. */
export interface BusyStep {
  readonly from: number;
  readonly to: number;
  readonly full: number;
}

/** How many copies of a mould are full, from when to when, by what stands full now and what is planned. */
export function busySteps(
  full: readonly { readonly from: number; readonly to: number; readonly count: number }[],
): BusyStep[] {
  const times = [...new Set(full.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  return times.flatMap((from, i): BusyStep[] => {
    const to = times[i + 1];
    if (to === undefined) return [];
    const count = full.reduce((sum, one) => sum + (one.from <= from && one.to >= to ? one.count : 0), 0);
    return count > 0 ? [{ from, to, full: count }] : [];
  });
}
