import type { SchedulingProblem } from './problem.js';

/** Whole moulds of one mix that are filled together: how many of each line, by its place, and the buckets that they take. */
export interface Pattern {
  readonly mixKey: string;
  readonly pieces: ReadonlyMap<number, number>;
  readonly buckets: number;
}

/** Patterns of one mix beyond this are left out: the fullest ones come first. */
const MOST_PATTERNS = 120;

/**
 * The ways to fill a bucket: every set of whole moulds of one mix that fits it and its pot life, and to which none can be added. A piece
 * that is larger than the bucket takes several by itself.
 */
export function patternsOf({ lines, work }: Pick<SchedulingProblem, 'lines' | 'work'>): Pattern[] {
  const mixes = [...new Set(lines.map(({ mixKey }) => mixKey))];
  return mixes.flatMap((mixKey) => {
    const own = lines.flatMap(({ mixKey: key, volume, count }, at) => (key === mixKey ? [{ at, volume, count }] : []));
    const large = own.filter(({ volume }) => volume > work.capacity);
    const small = own.filter(({ volume }) => volume <= work.capacity);
    return [
      ...large.map(({ at, volume }): Pattern => ({
        mixKey,
        pieces: new Map([[at, 1]]),
        buckets: Math.ceil(volume / work.capacity),
      })),
      ...fullest(small, work.capacity, work.mostPieces).map((pieces) => ({ mixKey, pieces, buckets: 1 })),
    ];
  });
}

interface Small {
  readonly at: number;
  readonly volume: number;
  readonly count: number;
}

/** Every set of pieces within a volume and a number to which none of them can be added. */
function fullest(lines: readonly Small[], capacity: number, most: number): Map<number, number>[] {
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
  fill(0, new Map(), capacity, most);
  return found;
}
