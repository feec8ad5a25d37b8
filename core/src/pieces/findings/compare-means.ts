import { mean, studentShare, variance } from '../../foundation/math/index.js';
import type { Comparison } from './compare-shares.js';
import { FEWEST, verdictOf } from './verdict.js';

/** The variance of the mean of measurements. */
const ofMean = (values: readonly number[]): number => variance(values) / values.length;

/** What is measured of two ways: their means, how far b lies above a, and which is better. */
export interface MeansCompared extends Comparison {
  readonly means: readonly [a: number, b: number];
}

/**
 * Whether the smaller mean is smaller, by the posterior of the difference: Student's t with Welch and Satterthwaite's degrees of freedom. The smaller
 * is better. With fewer than five on a side too few to say. Handbook 20, "Two ways".
 */
export function compareMeans(a: readonly number[], b: readonly number[]): MeansCompared {
  const means = [mean(a), mean(b)] as const;
  if (Math.min(a.length, b.length) < FEWEST) return { means, better: undefined, chance: 0.5, verdict: 'too-few' };
  const [one, other] = [ofMean(a), ofMean(b)];
  const both = one + other;
  if (both === 0) return { means, better: undefined, chance: 0.5, verdict: 'even' };
  const freedom = both ** 2 / (one ** 2 / (a.length - 1) + other ** 2 / (b.length - 1));
  const chance = studentShare((means[0] - means[1]) / Math.sqrt(both), freedom);
  const sure = Math.max(chance, 1 - chance);
  const verdict = verdictOf(sure);
  return { means, better: verdict === 'even' ? undefined : chance > 0.5 ? 'b' : 'a', chance: sure, verdict };
}
