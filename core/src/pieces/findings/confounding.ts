import { wayKinds, type FindingRecord, type WayKind } from './finding-record.js';

/** All casts that were also alike in something in which hardly any of the other side were. */
export interface Confounded {
  readonly side: 'a' | 'b';
  readonly kind: WayKind;
  readonly way: string;
  readonly casts: number;
}

/** How many of some casts were made in each way of each kind. */
type WayCounts = Readonly<Record<WayKind, ReadonlyMap<string, number>>>;

/** Casts that were made in one way of a kind, counted once for all comparisons that they are in. */
export interface WayGroup {
  readonly way: string;
  readonly casts: readonly FindingRecord[];
  readonly counts: WayCounts;
}

/** A confounding is told where so much of one side and at most so little of the other is alike. */
const NEARLY_ALL = 0.8;
const HARDLY_ANY = 0.2;

function countsOf(casts: readonly FindingRecord[], kind: WayKind): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { ways } of casts) {
    const way = ways[kind];
    if (way !== undefined) counts.set(way, (counts.get(way) ?? 0) + 1);
  }
  return counts;
}

/** Casts of one way, counted. */
export const wayGroup = (way: string, casts: readonly FindingRecord[]): WayGroup => ({
  way,
  casts,
  counts: Object.fromEntries(wayKinds.map((kind) => [kind, countsOf(casts, kind)])) as unknown as WayCounts,
});

/** The way that most casts have in common, and how many of them. */
function commonest(counts: ReadonlyMap<string, number>): readonly [way: string, casts: number] {
  let most: readonly [string, number] = ['', 0];
  for (const one of counts) if (one[1] > most[1]) most = one;
  return most;
}

/** In what else the casts of two ways of a kind differ, nearly all against hardly any. */
export function confoundings(kind: WayKind, a: WayGroup, b: WayGroup): Confounded[] {
  const sides = [['a', a, b] as const, ['b', b, a] as const];
  return wayKinds
    .filter((other) => other !== kind)
    .flatMap((other) => {
      for (const [side, own, others] of sides) {
        const [way, casts] = commonest(own.counts[other]);
        const elsewhere = others.counts[other].get(way) ?? 0;
        if (casts >= NEARLY_ALL * own.casts.length && elsewhere <= HARDLY_ANY * others.casts.length)
          return [{ side, kind: other, way, casts }];
      }
      return [];
    });
}
