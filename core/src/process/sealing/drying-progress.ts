import { defined } from '../../foundation/math/index.js';
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
