import type { Scoop, ScoopStep } from '../materials/index.js';
import { scoopings, type Measure, type Vessels } from './ways.js';

/** An amount that scoops give. */
export interface ScoopedAmount {
  /** mL */
  readonly volume: number;
  readonly measures: readonly Measure[];
  /** Scoopings that it takes. */
  readonly scoopings: number;
}

/** Nobody counts more scoopings of one material than this. */
const MOST_SCOOPINGS = 60;

const EDGE = 1e-9;

type Counted = readonly (readonly [scoop: Scoop, count: number])[];

/** mL */
const volumeOf = (parts: Counted) => parts.reduce((sum, [scoop, count]) => sum + scoop.volume * count, 0);

function amountOf(parts: Counted): ScoopedAmount {
  const used = parts.filter(([, count]) => count > 0);
  return {
    volume: volumeOf(used),
    measures: used.map(([scoop, count]) => ({ kind: 'scoop', scoop, count })),
    scoopings: used.reduce((sum, [, count]) => sum + scoopings(count), 0),
  };
}

/** Scoopings first; then parts of scoops, which are judged by eye; then the scoops to hold. */
const effort = (parts: Counted) =>
  parts.reduce((sum, [, n]) => sum + (n > 0 ? scoopings(n) * 10_000 + (n % 1 === 0 ? 0 : 100) + 1 : 0), 0);

/** The smallest count of a scoop that gives `least` mL; the whole one above it where that stays within `most`. */
function countFor([least, most]: readonly [number, number], { volume }: Scoop, step: ScoopStep): number {
  const count = Math.max(0, Math.ceil(least / volume / step - EDGE) * step);
  const whole = scoopings(count);
  return whole * volume <= most + EDGE ? whole : count;
}

/** Calls `visit` with the counts of one scoop, or of a larger and a smaller one, that give between `least` and `most` mL. */
function eachWay(
  [least, most]: readonly [number, number],
  { scoops, step }: Pick<Vessels, 'scoops' | 'step'>,
  visit: (parts: Counted) => void,
  bound: () => number,
): void {
  const sorted = [...scoops].sort((a, b) => b.volume - a.volume);
  sorted.forEach((large, i) => {
    visit([[large, countFor([least, most], large, step)]]);
    for (let n = step; n * large.volume < least - EDGE && scoopings(n) < bound(); n += step) {
      const left = [least - n * large.volume, most - n * large.volume] as const;
      for (const small of sorted.slice(i + 1)) {
        if (scoopings(n) + left[0] / small.volume > bound()) break;
        visit([[large, n], [small, countFor(left, small, step)]]); // prettier-ignore
      }
    }
  });
}

/**
 * The fewest scoopings that give between `least` and `most` mL, of at most two different scoops; undefined where none do, or
 * only more than 60. Ties go to whole scoops, then to one scoop.
 */
export function fewestScoops(
  range: readonly [least: number, most: number],
  scoops: readonly Scoop[],
  step: ScoopStep,
): ScoopedAmount | undefined {
  const [least, most] = range;
  let best: Counted | undefined;
  let lowest = Infinity;
  const visit = (parts: Counted) => {
    const own = effort(parts);
    if (own >= lowest || own > (MOST_SCOOPINGS + 1) * 10_000) return;
    const volume = volumeOf(parts);
    if (volume <= 0 || volume < least - EDGE || volume > most + EDGE) return;
    [best, lowest] = [parts, own];
  };
  eachWay(range, { scoops, step }, visit, () => Math.min(MOST_SCOOPINGS, Math.floor(lowest / 10_000)));
  return best && amountOf(best);
}

/** The count of one scoop that comes nearest to `volume` mL, and never none. */
export function nearestScoops(volume: number, scoop: Scoop, step: ScoopStep): ScoopedAmount {
  return amountOf([[scoop, Math.max(step, Math.round(volume / scoop.volume / step) * step)]]);
}

/** Every amount between `least` and `most` mL that at most two scoops give, each by its fewest scoopings; the fewest first. */
export function binderAmounts(
  [least, most]: readonly [number, number],
  { scoops, step }: Pick<Vessels, 'scoops' | 'step'>,
): ScoopedAmount[] {
  const found = new Map<string, { parts: Counted; effort: number }>();
  const add = (parts: Counted) => {
    const volume = volumeOf(parts);
    if (volume <= 0 || volume < least - EDGE || volume > most + EDGE) return;
    const key = volume.toFixed(3);
    const own = effort(parts);
    if (own <= (MOST_SCOOPINGS + 1) * 10_000 && own < (found.get(key)?.effort ?? Infinity))
      found.set(key, { parts, effort: own });
  };
  const counts = (from: number, to: number, { volume }: Scoop, visit: (n: number) => void) => {
    const last = Math.min(MOST_SCOOPINGS, to / volume + EDGE);
    for (let n = Math.max(step, Math.ceil(from / volume / step - EDGE) * step); n <= last; n += step) visit(n);
  };
  scoops.forEach((one, i) => {
    counts(least, most, one, (n) => add([[one, n]]));
    counts(0, most, one, (n) => {
      const used = n * one.volume;
      for (const other of scoops.slice(i + 1))
        counts(least - used, most - used, other, (m) => add([[one, n], [other, m]])); // prettier-ignore
    });
  });
  return [...found.values()].sort((a, b) => a.effort - b.effort).map(({ parts }) => amountOf(parts));
}
