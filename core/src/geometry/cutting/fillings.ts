import { defined } from '../../foundation/math/index.js';

/** Pieces that are wanted, each with the cut after it. mm */
export interface Wanted {
  readonly length: number;
  readonly count: number;
}

/** A stick by its place, and how many of each piece are cut from it. */
export interface Filling {
  readonly stick: number;
  readonly counts: readonly number[];
}

/** Lengths are taken to a tenth of a mm. */
const TENTHS = 10;
const TINY = 1e-9;

/** The filling of a stick that is worth most: how many of each piece, none more often than it is wanted (knapsack by its length). */
export function bestFilling(wanted: readonly Wanted[], worth: readonly number[], room: number): number[] {
  const size = Math.floor(room * TENTHS + 1e-6);
  const items = wanted.flatMap(({ length, count }, i) => {
    const own = Math.ceil(length * TENTHS - 1e-6);
    return Array.from({ length: Math.min(count, Math.floor(size / own)) }, () => ({ i, own, value: defined(worth[i]) }));
  });
  const most = new Float64Array(size + 1);
  const taken = items.map(({ own, value }) => {
    const takes = new Uint8Array(size + 1);
    if (value <= 0) return takes;
    for (let at = size; at >= own; at--) {
      const more = defined(most[at - own]) + value;
      if (more > defined(most[at]) + TINY) [most[at], takes[at]] = [more, 1];
    }
    return takes;
  });
  const counts = wanted.map(() => 0);
  for (let k = items.length - 1, at = size; k >= 0; k--) {
    if (!taken[k]?.[at]) continue;
    const { i, own } = defined(items[k]);
    counts[i] = defined(counts[i]) + 1;
    at -= own;
  }
  return counts;
} // prettier-ignore

/** Fillings of a stick that are worth at least so much, no more than `most` of them. */
export function fillingsWithin(wanted: readonly Wanted[], worth: readonly number[], room: number, least: number, most: number): number[][] {
  const order = wanted.map((_, i) => i).sort((a, b) => defined(worth[b]) / defined(wanted[b]).length - defined(worth[a]) / defined(wanted[a]).length);
  const found: number[][] = [];
  const counts = wanted.map(() => 0);
  const step = (at: number, left: number, value: number): void => {
    if (found.length >= most) return;
    const i = order[at];
    if (i === undefined) {
      if (value >= least - TINY && counts.some((count) => count > 0)) found.push([...counts]);
      return;
    }
    const { length, count } = defined(wanted[i]);
    // What is left may be worth at the most what its best piece would be all along it.
    if (value + (left / length) * defined(worth[i]) < least - TINY) return;
    for (let many = Math.min(count, Math.floor(left / length + TINY)); many >= 0; many--) {
      counts[i] = many;
      step(at + 1, left - many * length, value + many * defined(worth[i]));
    }
    counts[i] = 0;
  };
  step(0, room, 0);
  return found;
} // prettier-ignore
