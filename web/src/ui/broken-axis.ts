import { MINUTE } from '@dewpot/core/units';
import type { Span } from '@dewpot/core/bench';

/** Hands free for longer than this are drawn short, with a break in the axis. */
const LONG = 25 * MINUTE;
/** As long as this. */
const DRAWN = 12 * MINUTE;

/** A time axis on which long pauses are drawn short. */
export interface BrokenAxis {
  /** Where a time lies, 0…1. */
  readonly at: (time: number) => number;
  readonly breaks: readonly Span[];
}

/** An axis from `start` to `end`, ms, along which the long ones of the free spans are drawn short. */
export function brokenAxis(start: number, end: number, free: readonly Span[]): BrokenAxis {
  const breaks = free.filter(({ from, to }) => to - from > LONG);
  const saved = (time: number) =>
    breaks.reduce((sum, { from, to }) => {
      const share = Math.min(1, Math.max(0, (time - from) / (to - from)));
      return sum + share * (to - from - DRAWN);
    }, 0);
  const whole = Math.max(1, end - start - saved(end));
  return { at: (time) => Math.min(1, Math.max(0, (time - start - saved(time)) / whole)), breaks };
}
