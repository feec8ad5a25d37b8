import { defined } from '../../foundation/math/index.js';
import type { Stick } from './cut-lengths.js';
import { bestFilling, type Filling, type Wanted } from './fillings.js';

/** How much more a longer piece counts than by its length alone, from try to try. */
const LEANS = [1, 1.03, 1.08, 1.15, 1.25, 1.4, 0.97, 0.93, 1.6, 1.01, 1.05, 1.12, 1.2, 1.32, 1.5, 1.8];

/** One way to fill sticks in turn: each takes the longest piece that is left, and the pieces that then fill it best. */
function filled(wanted: readonly Wanted[], room: number, lean: number): number[][] {
  const left = wanted.map(({ count }) => count);
  const sticks: number[][] = [];
  for (;;) {
    const longest = wanted.reduce((best, { length }, i) => (defined(left[i]) > 0 && (best < 0 || length > defined(wanted[best]).length) ? i : best), -1); // prettier-ignore
    if (longest < 0) return sticks;
    left[longest] = defined(left[longest]) - 1;
    const rest = wanted.map(({ length }, i) => ({ length, count: defined(left[i]) }));
    const worth = rest.map(({ length }) => length ** lean);
    const more = bestFilling(rest, worth, room - defined(wanted[longest]).length);
    more.forEach((count, i) => (left[i] = defined(left[i]) - count));
    sticks.push(more.map((count, i) => count + (i === longest ? 1 : 0)));
  }
}

/** The fewest sticks of one length that filling them in turn comes to; ends where `least` is met, or `goOn` says so. */
export function filledInTurn(wanted: readonly Wanted[], room: number, least: number, goOn: () => boolean): number[][] {
  let best: number[][] | undefined;
  for (const lean of LEANS) {
    if (best && (best.length <= least || !goOn())) break;
    const found = filled(wanted, room, lean);
    if (!best || found.length < best.length) best = found;
  }
  return best ?? [];
}

/**
 * Some way of cutting, whatever it costs, which takes no time to find: the longest piece that is left, from the stick that it and others fill for the
 * least. Undefined where it runs out of sticks.
 */
export function cutAnyhow(wanted: readonly Wanted[], sticks: readonly Stick[], room: readonly number[], costs: readonly number[]): Filling[] | undefined {
  const left = wanted.map(({ count }) => count);
  const stock = sticks.map(({ count }) => count);
  const used: Filling[] = [];
  for (;;) {
    const longest = wanted.reduce((best, { length }, i) => (defined(left[i]) > 0 && (best < 0 || length > defined(wanted[best]).length) ? i : best), -1);
    if (longest < 0) return used;
    left[longest] = defined(left[longest]) - 1;
    const own = defined(wanted[longest]).length;
    const rest = wanted.map(({ length }, i) => ({ length, count: defined(left[i]) }));
    const ways = sticks.flatMap((_, stick) => {
      const over = defined(room[stick]) - own;
      if (defined(stock[stick]) === 0 || over < 0) return [];
      const counts = bestFilling(rest, rest.map(({ length }) => length), over);
      const filled = counts.reduce((all, count, i) => all + count * defined(wanted[i]).length, own);
      return [{ stick, counts, each: defined(costs[stick]) / filled }];
    });
    const [best] = ways.sort((a, b) => a.each - b.each);
    if (!best) return undefined;
    stock[best.stick] = defined(stock[best.stick]) - 1;
    best.counts.forEach((count, i) => (left[i] = defined(left[i]) - count));
    used.push({ stick: best.stick, counts: best.counts.map((count, i) => count + (i === longest ? 1 : 0)) });
  }
} // prettier-ignore
