/** How far two ways have come apart: honest words for small numbers. */
export type Verdict = 'too-few' | 'even' | 'leans' | 'says';

/** With fewer casts on either side nothing is said. */
export const FEWEST = 5;
const SAYS = 0.95;
const LEANS = 0.9;

/** The word for the chance that the better way is better, 0.5–1. `says` is the chance that it takes to say so. */
export function verdictOf(chance: number, says = SAYS): Verdict {
  if (chance >= says) return 'says';
  return chance >= LEANS ? 'leans' : 'even';
}

/** What stands after Benjamini–Hochberg at this rate: of many comparisons so many may be wrong. */
const WRONG = 0.1;

/** Which of many two-sided tail areas stand when all of them are looked over at once (Benjamini & Hochberg 1995, at 10 %). */
export function standAmongMany(tails: readonly number[]): boolean[] {
  const sorted = [...tails].sort((a, b) => a - b);
  const last = sorted.reduce((most, tail, i) => (tail <= ((i + 1) / tails.length) * WRONG ? tail : most), -1);
  return tails.map((tail) => tail <= last);
}
