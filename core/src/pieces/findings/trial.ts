import { logBeta, stream } from '../../foundation/math/index.js';
import { Checker, msg } from '../../foundation/units/index.js';
import type { TrialSide } from '../casts/index.js';
import { compareShares, type Comparison, type Share } from './compare-shares.js';
import { FEWEST } from './verdict.js';

/** A trial is never larger, a side. */
const MOST_A_SIDE = 60;
const WANTED = 0.8;
const SAYS = 0.95;
/** Looked at after every cast, an answer before the last one must be this sure. */
const SAYS_EARLY = 0.999;

/** ln of n choose k, for k = 0 … n. */
function logChoose(n: number): number[] {
  const logs = [0];
  for (let k = 1; k <= n; k++) logs.push((logs[k - 1] ?? 0) + Math.log((n - k + 1) / k));
  return logs;
}

/** Chance of each number of good ones among n, where each is good with the chance `share`. */
function binomial(n: number, share: number): number[] {
  if (share === 0 || share === 1) return Array.from({ length: n + 1 }, (_, k) => Number(k === n * share));
  return logChoose(n).map((log, k) => Math.exp(log + k * Math.log(share) + (n - k) * Math.log(1 - share)));
}

/** `chanceBetter` of so many casts a side, from none good of either on: one more good one at a time, each two steps of its recursion. */
class ChanceWalk {
  chance = 0.5;
  private a = 0;
  ofB = 0;

  constructor(private readonly n: number) {}

  oneMoreOfA(): void {
    this.chance -= this.step('a') * (1 / (this.a + 0.5) + 1 / (this.n - this.a - 0.5));
    this.a++;
  }

  /** Beyond the last there is none. */
  oneMoreOfB(): void {
    if (this.ofB < this.n) this.chance += this.step('b') * (1 / (this.ofB + 0.5) + 1 / (this.n - this.ofB - 0.5));
    this.ofB++;
  }

  /** What the recursion steps by between one good one less and one more, where the cast that changes is left out. */
  private step(side: TrialSide): number {
    const bad = (good: number) => this.n - good + 0.5;
    const [a, b] = [this.a + 0.5, this.ofB + 0.5];
    const [p, q, r, s] = [a, bad(this.a), b, bad(this.ofB)];
    const [q1, s1] = side === 'a' ? [q - 1, s] : [q, s - 1];
    return Math.exp(logBeta(p + r, q1 + s1) - logBeta(p, q1) - logBeta(r, s1));
  }
}

/** The chance that so many casts a side *say* that b is better, if its share of good ones is `b` and the other's `a`: every outcome, counted out. */
export function chanceToSay(n: number, a: number, b: number): number {
  if (n < FEWEST) return 0;
  const [ofA, ofB] = [binomial(n, a), binomial(n, b)];
  const walk = new ChanceWalk(n);
  let all = 0;
  // The more of a are good, the more of b must be: one walk along that border.
  for (let i = 0; i <= n; i++) {
    if (i > 0) walk.oneMoreOfA();
    while (walk.ofB <= n && walk.chance < SAYS) walk.oneMoreOfB();
    for (let j = walk.ofB; j <= n; j++) all += (ofA[i] ?? 0) * (ofB[j] ?? 0);
  }
  return all;
}

/** How many casts a side a trial needs, and how likely it says something then; `enough` is false where even the most are too few. */
export interface TrialSize {
  readonly aSide: number;
  readonly chance: number;
  readonly enough: boolean;
}

/** Refuses shares of good ones that cannot be expected, 0–1. @throws InputError */
export function checkExpected(worse: number, better: number): void {
  const check = new Checker();
  check.number('worse', worse, msg('findings.expectedShare'), { min: 0, max: 1 });
  check.number('better', better, msg('findings.expectedShare'), { min: 0, max: 1 });
  check.expect(better > worse, 'better', better, msg('findings.notBetter'), msg('findings.expectBetter'));
  check.done();
}

/**
 * The least number a side by which a trial *says* which way is better with a chance of 0.8, if the shares are what the caster expects (0–1): every
 * outcome of at most 60 a side is counted out. Handbook 20, "Trials". @throws InputError
 */
export function trialSize(a: number, b: number): TrialSize {
  checkExpected(a, b);
  for (let n = FEWEST; n <= MOST_A_SIDE; n++) {
    const chance = chanceToSay(n, a, b);
    if (chance >= WANTED) return { aSide: n, chance, enough: true };
  }
  return { aSide: MOST_A_SIDE, chance: chanceToSay(MOST_A_SIDE, a, b), enough: false };
}

/**
 * Which copy of a pour gets which way: by chance from a seed, the sides never more than one apart. The odd one goes to the side that had fewer so far.
 */
export function dealTrial(copies: number, seed: number, before: Readonly<Record<TrialSide, number>>): TrialSide[] {
  const next = stream(seed);
  const behind = before.a === before.b ? next() < 0.5 : before.a < before.b;
  const dealt = Array.from({ length: copies }, (_, i): TrialSide => ((i % 2 === 0) === behind ? 'a' : 'b'));
  for (let i = copies - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [dealt[i], dealt[j]] = [dealt[j] ?? 'a', dealt[i] ?? 'a'];
  }
  return dealt;
}

/**
 * What a trial of so many a side says by now of b, which is expected to be better. Before its last cast it takes 0.999, for one looks often; at the last
 * 0.95. That a is better instead, which nobody expected, takes 0.999 at the last too: with 0.95 either way one trial in thirteen would say what is not so.
 */
export function judgeTrial(aSide: number, a: Share, b: Share): Comparison & { readonly complete: boolean } {
  const complete = Math.min(a.casts, b.casts) >= aSide;
  const compared = compareShares(a, b, complete ? SAYS : SAYS_EARLY);
  const unexpected = compared.verdict === 'says' && compared.better === 'a' && compared.chance < SAYS_EARLY;
  return { ...compared, ...(unexpected && { verdict: 'leans' }), complete };
}
