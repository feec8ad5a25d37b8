import { defined, firstPlace } from '../../foundation/math/index.js';
/** A rate that holds from an hour until the next one's. */
export interface RateFrom {
  readonly hour: number;
  readonly rate: number;
}

/** The hour at which `amount` is walked off from `from` on, at rates in order of time; past the last at their mean. Rates above 0. */
export function dryingProgress(amount: number, from: number, rates: readonly RateFrom[]): number {
  let left = amount;
  let at = from;
  let walked = 0;
  for (let i = 0; i < rates.length - 1; i++) {
    const end = defined(rates[i + 1]).hour;
    if (end <= at) continue;
    const can = (end - at) * defined(rates[i]).rate;
    if (can >= left) return at + left / defined(rates[i]).rate;
    left -= can;
    walked += can;
    at = end;
  }
  const mean = at > from ? walked / (at - from) : defined(rates[rates.length - 1]).rate;
  return at + left / mean;
}

/** What is walked off along rates from the first on, ready to be asked at any hour. */
export interface DryingCourse {
  readonly rates: readonly RateFrom[];
  /** By the beginning of each rate. */
  readonly walked: Float64Array;
}

/** The course of rates in order of time. Rates above 0. */
export function dryingCourse(rates: readonly RateFrom[]): DryingCourse {
  const walked = new Float64Array(rates.length);
  for (let i = 1; i < rates.length; i++) {
    const { hour, rate } = defined(rates[i - 1]);
    walked[i] = defined(walked[i - 1]) + (defined(rates[i]).hour - hour) * rate;
  }
  return { rates, walked };
}

/** The hour at which `amount` is walked off from `from` on; undefined beyond the last rate's beginning, or before the first. The same as `dryingProgress` within them. */
export function hourWalked({ rates, walked }: DryingCourse, amount: number, from: number): number | undefined {
  const held = firstPlace(rates.length, (i) => defined(rates[i]).hour > from) - 1;
  if (held < 0) return undefined;
  const { hour, rate } = defined(rates[held]);
  const goal = defined(walked[held]) + (from - hour) * rate + amount;
  const next = firstPlace(walked.length, (i) => defined(walked[i]) >= goal);
  if (next >= rates.length) return undefined;
  if (next === 0) return from;
  const before = defined(rates[next - 1]);
  return Math.max(from, before.hour + (goal - defined(walked[next - 1])) / before.rate);
}
