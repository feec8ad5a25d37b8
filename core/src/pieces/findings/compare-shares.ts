import { logBeta } from '../../foundation/math/index.js';
import { FEWEST, verdictOf, type Verdict } from './verdict.js';

/** So many good ones of so many casts. */
export interface Share {
  readonly good: number;
  readonly casts: number;
}

/** Which of two ways is better, and how sure that is. */
export interface Comparison {
  readonly better: 'a' | 'b' | undefined;
  /** That the better way is better, 0.5–1. */
  readonly chance: number;
  readonly verdict: Verdict;
}

/**
 * The chance that a share drawn from Beta(½ + good, ½ + bad) of b is larger than that of a: exact, from ½ at the priors one cast at a time.
 * Raising a parameter of X ~ Beta(p, q), Y ~ Beta(r, s) by one changes P(Y > X) by B(p + r, q + s) ÷ (B(p, q)·B(r, s)) over that parameter.
 */
export function chanceBetter(a: Share, b: Share): number {
  let [p, q, r, s] = [0.5, 0.5, 0.5, 0.5];
  let chance = 0.5;
  const step = () => Math.exp(logBeta(p + r, q + s) - logBeta(p, q) - logBeta(r, s));
  for (let i = 0; i < a.good; i++) chance -= step() / p++;
  for (let i = 0; i < a.casts - a.good; i++) chance += step() / q++;
  for (let i = 0; i < b.good; i++) chance += step() / r++;
  for (let i = 0; i < b.casts - b.good; i++) chance -= step() / s++;
  return Math.min(1, Math.max(0, chance));
}

/** What two shares of good casts say: too few to say, even so far, leans or says. `says` is the chance that it takes. Handbook 20, "Two ways". */
export function compareShares(a: Share, b: Share, says?: number): Comparison {
  const chance = chanceBetter(a, b);
  const sure = Math.max(chance, 1 - chance);
  if (Math.min(a.casts, b.casts) < FEWEST) return { better: undefined, chance: sure, verdict: 'too-few' };
  const noneFailed = a.good === a.casts && b.good === b.casts;
  const verdict = noneFailed ? 'even' : verdictOf(sure, says);
  return { better: verdict === 'even' ? undefined : chance > 0.5 ? 'b' : 'a', chance: sure, verdict };
}
