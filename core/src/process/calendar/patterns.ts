import { defined } from '../../foundation/math/index.js';
import type { ScheduledMix, SchedulingProblem } from './problem.js';

/** Whole moulds of one mix that are filled together: how many of each line, by its place, and the buckets that they take. */
export interface Pattern {
  readonly mix: ScheduledMix;
  readonly pieces: ReadonlyMap<number, number>;
  readonly buckets: number;
}

/** Patterns of one mix beyond this are left out: the fullest ones come first. */
const MOST_PATTERNS = 120;

/**
 * The ways to fill a bucket: every set of whole moulds of one mix that fits it and its pot life, and to which none can be added. A piece
 * that is larger than the bucket takes several by itself.
 */
export function patternsOf({ lines, mixes }: Pick<SchedulingProblem, 'lines' | 'mixes'>): Pattern[] {
  return mixes.flatMap((mix) => {
    const own = lines.flatMap(({ mixKey, volume, count }, at) => (mixKey === mix.key ? [{ at, volume, count }] : []));
    const large = own.filter(({ volume }) => volume > mix.capacity);
    const small = own.filter(({ volume }) => volume <= mix.capacity);
    return [
      ...large.map(({ at, volume }): Pattern => ({
        mix,
        pieces: new Map([[at, 1]]),
        buckets: Math.ceil(volume / mix.capacity),
      })),
      ...fullest(small, mix).map((pieces) => ({ mix, pieces, buckets: 1 })),
    ];
  });
}

interface Small {
  readonly at: number;
  readonly volume: number;
  readonly count: number;
}

/** Every set of pieces within a bucket to which none of them can be added. Each by itself is among them where they are too many. */
function fullest(lines: readonly Small[], { capacity, mostPieces }: ScheduledMix): Map<number, number>[] {
  const found: Map<number, number>[] = [];
  const fill = (i: number, pieces: Map<number, number>, room: number, left: number): void => {
    if (found.length >= MOST_PATTERNS) return;
    const line = lines[i];
    if (!line) {
      const more = lines.some(({ at, volume, count }) => volume <= room && left > 0 && (pieces.get(at) ?? 0) < count);
      if (!more && pieces.size > 0) found.push(new Map(pieces));
      return;
    }
    const fits = Math.min(line.count, left, Math.floor(room / line.volume));
    for (let count = fits; count >= 0; count--) {
      if (count > 0) pieces.set(line.at, count);
      fill(i + 1, pieces, room - count * line.volume, left - count);
      pieces.delete(line.at);
    }
  };
  fill(0, new Map(), capacity, mostPieces);
  const missed = lines.filter(({ at }) => !found.some((pieces) => pieces.has(at)));
  return [
    ...found,
    ...missed.map(({ at, volume, count }) => alone(at, Math.min(count, mostPieces, capacity / volume))),
  ];
}

const alone = (at: number, count: number) => new Map([[at, Math.floor(count)]]);

/** Ways to fill that are looked at before the best so far is taken. */
const MOST_LOOKED_AT = 20_000;

/** The buckets for so many pieces of each line, by its place: as few as it takes, the fullest pattern first where that is hard to tell. */
export function bucketsFor(patterns: readonly Pattern[], wanted: ReadonlyMap<number, number>): Pattern[] {
  const known = new Map<string, Pattern[]>();
  let looked = 0;
  const search = (left: ReadonlyMap<number, number>): Pattern[] => {
    const open = [...left].filter(([, count]) => count > 0).sort(([a], [b]) => a - b);
    const first = open[0];
    if (!first) return [];
    const key = open.join(' ');
    const before = known.get(key);
    if (before) return before;
    const taken = (one: Pattern) =>
      open.reduce((sum, [at, count]) => sum + Math.min(count, one.pieces.get(at) ?? 0), 0);
    const fitting = patterns.filter(({ pieces }) => pieces.has(first[0])).sort((a, b) => taken(b) - taken(a));
    // Where there is too much to look at, each bucket is filled as full as it goes.
    const tried = looked++ < MOST_LOOKED_AT ? fitting : fitting.slice(0, 1);
    const found = tried.map((one) => [
      one,
      ...search(new Map(open.map(([at, count]) => [at, count - (one.pieces.get(at) ?? 0)]))),
    ]);
    const number = (used: readonly Pattern[]) => used.reduce((sum, { buckets }) => sum + buckets, 0);
    const best = found.reduce((a, b) => (number(b) < number(a) ? b : a), defined(found[0]));
    known.set(key, best);
    return best;
  };
  return search(wanted);
}

/** Pieces dealt to buckets: none gets more than its pattern has, and none of them stays empty. */
export function dealt(
  { lines }: Pick<SchedulingProblem, 'lines'>,
  buckets: readonly Pattern[],
  poured: readonly { readonly line: string; readonly count: number }[],
) {
  const left = new Map(poured.map(({ line, count }) => [line, count]));
  return buckets
    .map(({ mix, pieces, buckets: each }) => {
      const own = [...pieces].flatMap(([at, most]) => {
        const { key } = defined(lines[at]);
        const count = Math.min(most, left.get(key) ?? 0);
        left.set(key, (left.get(key) ?? 0) - count);
        return count > 0 ? [{ line: key, count }] : [];
      });
      return { mixKey: mix.key, buckets: each, pieces: own };
    })
    .filter(({ pieces }) => pieces.length > 0);
}
